import { barsOf, curveOf, heightOf } from '@steady-scatter/core/drawing';
import { showExact, showQuantity, UNITS } from '@steady-scatter/core/quantities';
import {
  groundAt,
  groundRemarks,
  meanLine,
  evaluateWidthTest,
  recommendation,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { workingText } from '@steady-scatter/core/working';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { nameOf, say, speak } from '@steady-scatter/words/width';
import { pdfOf } from '../print/pdf.ts';

const [WIDE, HIGH] = [500, 150];

/** Catches as bars, left to right. */
function barsSvg(levels: readonly number[]): string {
  const bars = barsOf(levels, { wide: WIDE, high: HIGH, gap: 4 }).map(({ x, width, height }) => `<rect x="${x.toFixed(1)}" y="${(HIGH - height).toFixed(1)}" width="${width.toFixed(1)}" height="${height.toFixed(1)}" fill="#0d5c4d"/>`); // prettier-ignore
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH + 2}">${bars.join('')}<path d="M0 ${HIGH}H${WIDE}" stroke="#14201c"/></svg>`;
}

/** A curve of CV against spacing with the limit. */
function sweepSvg(sweep: { cv: readonly number[] }, limit: number): string {
  const most = 0.4;
  const points = curveOf(sweep.cv, { wide: WIDE, high: HIGH, most, every: 8 }).map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`); // prettier-ignore
  const y = heightOf(limit, most, HIGH);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH + 2}"><path d="M0 ${y}H${WIDE}" stroke="#a33a0a" stroke-dasharray="5 4"/><polyline points="${points.join(' ')}" fill="none" stroke="#14201c" stroke-width="1.5"/><path d="M0 ${HIGH}H${WIDE}M0 0V${HIGH}" stroke="#14201c"/></svg>`;
}

/**
 * A width test on one page: what was caught, how even passes are, the spacing and what comes of it.
 *
 * @param machine its name
 * @param isSample it is part of the demo, and says so
 */
export function widthPdf(
  input: WidthTestInput,
  machine: string,
  isSample: boolean,
  day: string,
): Promise<Blob> {
  const reading = evaluateWidthTest(input);
  const { trays, pattern, sweeps, lookedM, recommendedM, throwM, limit } = reading;
  const unit = input.layout.unit;
  const length = (m: number | null) => {
    if (m === null) return '—';
    const { number, unit: symbol } = showQuantity(m, unit, 3);
    return `${number} ${symbol}`;
  };
  const ground = pattern && lookedM !== null && !input.deflector ? groundAt(pattern, lookedM, input.passPattern) : null; // prettier-ignore
  const mean = lookedM === null ? null : meanLine(reading, lookedM, input);
  const facts = [
    machine,
    input.product,
    input.setting && say('width.report.setting', { setting: input.setting }),
    nameOf('spacingMethod', input.spacingMethod),
    input.deflector && say('width.report.deflector'),
    throwM !== null && say('width.report.throw', { length: length(throwM) }),
  ].filter(Boolean);
  const rows: TableCell[][] = trays.trays.map(({ xM, isFilled }, index) => [
    showExact(xM / UNITS[unit].toSi, 4).replace('−', '-'),
    input.rows.map((row) => row[index] || (isFilled ? say('width.report.putIn') : '—')).join(', '),
  ]);
  const half = Math.ceil(rows.length / 2);
  const table = (part: TableCell[][]): Content => ({
    table: {
      widths: [50, '*'],
      body: [
        [
          { text: UNITS[unit].symbol, bold: true },
          { text: say('width.report.caught'), bold: true },
        ],
        ...part,
      ],
    },
    layout: 'lightHorizontalLines',
    fontSize: 9,
  });
  const head = `${input.name.trim() || say('width.report.title')}, ${day}${isSample ? say('width.report.sample') : ''}`;
  return pdfOf({
    pageSize: 'A4',
    pageMargins: [42, 40, 42, 32],
    info: { title: head },
    content: [
      { text: head, fontSize: 17, bold: true },
      { text: facts.join(', '), margin: [0, 2, 0, 8] },
      { text: input.accepted ? say('width.report.accepted', { spacing: input.accepted.text, by: input.accepted.by || 'none' }) : say('width.report.recommended', { length: length(recommendedM) }), fontSize: 20, bold: true }, // prettier-ignore
      { text: speak(recommendation(reading, input)), margin: [0, 2, 0, 10] },
      ...(trays.trays.length > 0
        ? [{ text: say('width.report.trays'), bold: true }, { svg: barsSvg(trays.trays.map(({ deposit }) => deposit)), width: 510, margin: [0, 4, 0, 8] as [number, number, number, number] }] // prettier-ignore
        : []),
      ...(sweeps
        ? [{ text: say('width.report.chart', { pattern: nameOf('passPattern', input.passPattern), from: length(sweeps[input.passPattern].spacingM[0] ?? null), to: length(throwM), limit: showExact(100 * limit, 3) }), bold: true }, { svg: sweepSvg(sweeps[input.passPattern], limit), width: 510, margin: [0, 4, 0, 8] as [number, number, number, number] }] // prettier-ignore
        : []),
      ...(ground
        ? [
            { text: say('width.report.at', { length: length(lookedM) }), bold: true },
            ...groundRemarks(reading, ground, input).map(speak),
          ]
        : []),
      ...(mean
        ? [{ text: workingText(mean, speak), margin: [0, 4, 0, 8] as [number, number, number, number] }]
        : []),
      ...(rows.length > 0 ? [{ columns: [table(rows.slice(0, half)), table(rows.slice(half))], columnGap: 24 }] : []), // prettier-ignore
      { text: input.notes, margin: [0, 8, 0, 0] },
    ],
  });
}
