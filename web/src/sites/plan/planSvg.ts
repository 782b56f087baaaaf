import { lengthUnitFor } from '@steady-scatter/core/fields';
import {
  boundsOf,
  type Outline,
  type Point,
  type SiteAreaResult,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import { UNITS } from '@steady-scatter/core/quantities';
import { dimensionsOf } from '@steady-scatter/core/drawing';
import { drawnBuffers, drawnOutlines } from '../drawnOutlines.ts';
import { niceStep } from '../drawing/view.ts';

/** Scales that people hold a ruler to. */
const SCALES = [20, 50, 100, 200, 250, 500, 1000, 2000, 2500, 5000, 10_000, 20_000, 50_000];
const MARGIN_MM = 12;
const TEXT_MM = 3.4;

export interface Plan {
  readonly svg: string;
  /** The drawing is 1 to this. */
  readonly scale: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

const xml = (text: string): string => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
const mm = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * An area to a round scale, as SVG whose units are millimetres on paper: grid, north where parts have a place, a scale bar,
 * parts with their dimensions, and what buffers hold back.
 *
 * @param font family that the text is set in
 * @returns null while nothing is drawn
 */
export function planSvg(
  area: SiteAreaInput,
  { measured, buffers }: SiteAreaResult,
  widthMm: number,
  heightMm: number,
  font: string,
): Plan | null {
  const { outlines, offsets } = drawnOutlines(measured.parts, area.layoutMode);
  const bounds = boundsOf(outlines.flat(2));
  if (!bounds) return null;
  const { minX, minY, maxX, maxY } = bounds;
  const least =
    Math.max((maxX - minX) / (widthMm - 2 * MARGIN_MM), (maxY - minY) / (heightMm - 2 * MARGIN_MM)) * 1000;
  const scale = SCALES.find((candidate) => candidate >= least) ?? SCALES.at(-1)!;
  const mmPerM = 1000 / scale;
  const [left, top] = [
    widthMm / 2 - ((minX + maxX) / 2) * mmPerM,
    heightMm / 2 + ((minY + maxY) / 2) * mmPerM,
  ];
  const at = ({ x, y }: Point) => ({ x: left + x * mmPerM, y: top - y * mmPerM });
  const path = (lines: readonly Outline[]) =>
    lines
      .map((line) => `M${line.map((point) => `${mm(at(point).x)} ${mm(at(point).y)}`).join('L')}Z`)
      .join('');
  const unit = lengthUnitFor(area.shownIn);
  const unitMm = mmPerM * UNITS[unit].toSi;
  const step = niceStep(6 / unitMm) * unitMm;
  const gridLines: string[] = [];
  for (let x = left % step; x < widthMm; x += step) gridLines.push(`M${mm(x)} 0V${mm(heightMm)}`);
  for (let y = top % step; y < heightMm; y += step) gridLines.push(`M0 ${mm(y)}H${mm(widthMm)}`);
  const text = (x: number, y: number, words: string, anchor = 'middle') =>
    `<text x="${mm(x)}" y="${mm(y)}" font-family="${font}" font-size="${TEXT_MM}" text-anchor="${anchor}" fill="#14201c">${xml(words)}</text>`;
  const isPlaced = area.layoutMode === 'placed';
  const shapes = area.parts.map((part, index) => {
    const wrong = (measured.parts[index]?.errors.length ?? 0) > 0;
    const fill = wrong || isPlaced ? 'none' : part.cut ? '#ffffff' : '#e6efeb';
    return `<path d="${path(outlines[index] ?? [])}" fill="${fill}" fill-rule="evenodd" stroke="#0d5c4d" stroke-width="0.5"${part.cut ? ' stroke-dasharray="2 1.2"' : ''}/>`;
  });
  const dimensions = area.parts.flatMap((part, index) =>
    dimensionsOf(part, outlines[index]?.[0] ?? [], unit)
      .filter(({ text: words, lengthM }) => lengthM * mmPerM > words.length * 1.5)
      .map((dimension) => {
        const { x, y } = at(dimension.at);
        return dimension.isSteep ? text(x - 1, y, dimension.text, 'end') : text(x, y - 0.9, dimension.text);
      }),
  );
  const heldBack = drawnBuffers(area, buffers, offsets);
  const bar = niceStep(30 / unitMm);
  const foot = heightMm - 5;
  const pieces = [
    `<path d="${gridLines.join('')}" stroke="#cfd6d2" stroke-width="0.12" fill="none"/>`,
    isPlaced ? `<path d="${path(measured.ground)}" fill="#e6efeb" fill-rule="evenodd"/>` : '',
    ...shapes,
    heldBack.length > 0
      ? `<path d="${path(heldBack)}" fill="#1f6f9f" fill-opacity="0.35" fill-rule="evenodd"/>`
      : '',
    ...dimensions,
    `<path d="M4 ${mm(foot)}h${mm(bar * unitMm)}v1.4h${mm(-bar * unitMm)}z" fill="#14201c"/>`,
    text(4, foot - 1.2, `${bar} ${UNITS[unit].symbol}, 1 : ${scale}`, 'start'),
    isPlaced
      ? `<path d="M${mm(widthMm - 7)} 14V5m-2 3l2-3l2 3" stroke="#14201c" stroke-width="0.6" fill="none"/>${text(widthMm - 7, 18, 'N')}`
      : '',
  ];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(widthMm)}mm" height="${mm(heightMm)}mm" viewBox="0 0 ${mm(widthMm)} ${mm(heightMm)}">${pieces.join('')}</svg>`;
  return { svg, scale, widthMm, heightMm };
}
