import { Box } from '@chakra-ui/react';
import { boundsOf, difference, type Outline, type Point } from '@steady-scatter/core/ground';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { useEffect, useId, useMemo, useRef, useState, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/load';
import { partText } from './texts.ts';

/** How wide a box is drawn, px: what is drawn in it keeps its letters readable. */
export function useBoxWidth() {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(720);
  useEffect(() => {
    const measure = () => setWidth(Math.max(280, box.current?.clientWidth ?? 720));
    measure();
    const observer = new ResizeObserver(measure);
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  return { box, width };
}

/** From metres to a drawing that is so wide, and no higher than is seen at once. */
export function fitted(points: readonly Point[], width: number, highest: number, margin: number) {
  const bounds = boundsOf(points) ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 };
  const [wide, high] = [bounds.maxX - bounds.minX || 1, bounds.maxY - bounds.minY || 1];
  const perM = Math.min((width - 2 * margin) / wide, (highest - 2 * margin) / high);
  const left = (width - wide * perM) / 2;
  const height = high * perM + 2 * margin;
  const at = ({ x, y }: Point) => ({
    x: left + (x - bounds.minX) * perM,
    y: margin + (bounds.maxY - y) * perM,
  });
  const path = (lines: readonly Outline[], closed = true) =>
    lines
      .map(
        (line) =>
          `M${line.map((point) => `${at(point).x.toFixed(1)} ${at(point).y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`,
      )
      .join('');
  return { perM, height, at, path };
}

type Fit = ReturnType<typeof fitted>;

const FILL = {
  water: 'var(--chakra-colors-water)',
  act: 'var(--chakra-colors-act)',
  ink: 'var(--chakra-colors-ink)',
  soft: 'var(--chakra-colors-ink-soft)',
  paper: 'var(--chakra-colors-paper)',
  tape: 'var(--chakra-colors-tape)',
  warn: 'var(--chakra-colors-warn)',
};

/** The ground with what is held back, cut-outs dashed. */
export function GroundShape({ run, fit }: { run: AreaRun; fit: Fit }) {
  const { treated, area } = run.ground;
  const held = useMemo(() => (treated === area ? [] : difference(area, treated)), [treated, area]);
  return (
    <>
      <path
        d={fit.path(area)}
        fill={FILL.paper}
        fillRule="evenodd"
        stroke={FILL.ink}
        strokeWidth="2"
        strokeDasharray={run.isSketch ? '7 4' : undefined}
      />
      {held.length > 0 && <path d={fit.path(held)} fill={FILL.water} fillOpacity="0.35" fillRule="evenodd" />}
    </>
  );
}

/** Strips of the trims, and the lines that they are walked along. */
function Trims({ run, fit }: { run: AreaRun; fit: Fit }) {
  const { pieces, legs } = run.plan;
  const strips = useMemo(
    () => pieces.flatMap(({ ground, field }) => (field === ground ? [] : difference(ground, field))),
    [pieces],
  );
  const rounds = legs.filter(({ zone }) => zone === 'trim');
  if (rounds.length === 0) return null;
  return (
    <>
      <path d={fit.path(strips)} fill={FILL.act} fillOpacity="0.25" fillRule="evenodd" />
      <path
        d={fit.path(
          rounds.map(({ line }) => line),
          false,
        )}
        fill="none"
        stroke={FILL.act}
        strokeWidth="1.6"
        strokeDasharray="6 4"
      />
    </>
  );
}

/** Passes with their headings. */
function Passes({
  run,
  fit,
  zone,
  arrow,
}: {
  run: AreaRun;
  fit: Fit;
  zone: 'first' | 'second';
  arrow: string;
}) {
  const passes = run.plan.legs.filter((leg) => leg.zone === zone);
  const perPass = passes.length > 60 ? 0.8 : 1.4;
  return passes.map(({ line, number, part, piece }) => (
    <path
      key={`${piece}.${number}.${part}`}
      d={fit.path([line], false)}
      fill="none"
      stroke={zone === 'first' ? FILL.ink : FILL.soft}
      strokeWidth={perPass}
      strokeDasharray={zone === 'second' ? '2 3' : undefined}
      markerEnd={passes.length > 60 ? undefined : `url(#${arrow})`}
    />
  ));
}

/** Numbers that are not on top of each other. */
const EVERY_PX = 26;

/** Marks along the edge that passes start from, numbered. */
function Flags({ run, fit }: { run: AreaRun; fit: Fit }) {
  return run.plan.pieces.flatMap(({ lanes }, piece) =>
    lanes.slice(0, 1).flatMap(({ flags, headingDeg, spacingM }) => {
      const every = Math.max(1, Math.ceil(EVERY_PX / (spacingM * fit.perM)));
      const [dx, dy] = [-Math.sin((headingDeg * Math.PI) / 180), Math.cos((headingDeg * Math.PI) / 180)];
      return flags.map(({ point }, index): ReactNode => {
        const { x, y } = fit.at(point);
        return (
          <g key={`${piece}.${point.x}.${point.y}`}>
            <line x1={x} y1={y} x2={x + dx * 8} y2={y + dy * 8} stroke={FILL.ink} strokeWidth="1.5" />
            {index % every === 0 && (
              <text
                x={x + dx * 18}
                y={y + dy * 18 + 4.5}
                textAnchor="middle"
                fontSize="13"
                fontWeight="600"
                fill={FILL.ink}
              >
                {index + 1}
              </text>
            )}
          </g>
        );
      });
    }),
  );
}

/** A word on a drawing, set off from what lies below it: drawn twice, since printed files know no order of painting. */
function Word({ x, y, children }: { x: number; y: number; children: string | number }) {
  const set = { x, y, fontSize: 13, fontWeight: 600 };
  return (
    <>
      <text {...set} fill="none" stroke={FILL.paper} strokeWidth="4" aria-hidden>
        {children}
      </text>
      <text {...set} fill={FILL.ink}>
        {children}
      </text>
    </>
  );
}

/** Where fills run out, and where the product stands. */
function Fills({ run, fit }: { run: AreaRun; fit: Fit }) {
  const ends = run.fills.flatMap(({ end }, index) => (end ? [{ at: index, ...fit.at(end.point) }] : []));
  const shown = ends.slice(0, 12);
  const refillAt = run.refillAt && fit.at(run.refillAt);
  return (
    <>
      {refillAt && (
        <g>
          <rect
            {...boxAt(refillAt)}
            width="14"
            height="14"
            fill={FILL.warn}
            stroke={FILL.paper}
            strokeWidth="1.5"
          />
          <Word x={refillAt.x + 12} y={refillAt.y - 9}>
            {say('load.plan.refill')}
          </Word>
        </g>
      )}
      {shown.map(({ at, x, y }) => (
        <g key={at}>
          <circle cx={x} cy={y} r="8" fill={FILL.tape} stroke={FILL.ink} strokeWidth="2" />
          <Word x={x + 13} y={y + 5}>
            {shown.length > 3 ? at + 1 : say('load.plan.fill', { number: at + 1 })}
          </Word>
        </g>
      ))}
    </>
  );
}
const boxAt = ({ x, y }: Point) => ({ x: x - 7, y: y - 7 });

const MARGIN = 34;

interface SvgProps {
  run: AreaRun;
  label: string;
  width: number;
  highest: number;
}

/** An area with its passes, to scale, so wide and no higher. */
export function PlanSvg({ run, label, width, highest }: SvgProps) {
  const arrow = useId();
  const points = run.ground.area.flat();
  const fit = useMemo(() => fitted(points, width, highest, MARGIN), [points, width, highest]);
  return (
    <svg
      width={width}
      height={fit.height}
      viewBox={`0 0 ${width} ${fit.height}`}
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <defs>
        <marker id={arrow} viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
          <path d="M0 0L8 4L0 8" fill="none" stroke={FILL.ink} strokeWidth="1.4" />
        </marker>
      </defs>
      <GroundShape run={run} fit={fit} />
      <Trims run={run} fit={fit} />
      <Passes run={run} fit={fit} zone="second" arrow={arrow} />
      <Passes run={run} fit={fit} zone="first" arrow={arrow} />
      <Flags run={run} fit={fit} />
      <Fills run={run} fit={fit} />
    </svg>
  );
}

/** The same as wide as there is room. */
export function PlanDrawing({ run, label }: Pick<SvgProps, 'run' | 'label'>) {
  const { box, width } = useBoxWidth();
  return (
    <Box ref={box}>
      <PlanSvg run={run} label={label} width={width} highest={460} />
    </Box>
  );
}

/** What a pass is called where it is not drawn. */
export const passName = (leg: { number: number; part: number; parts: number }): string =>
  `${leg.number}${partText(leg)}`;
