import { Box, Button } from '@chakra-ui/react';
import type { Drift } from '@steady-scatter/core/season';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/record';
import { useInk } from '../charts/useInk.ts';
import { dayText } from '../ui/dayText.ts';
import { Section } from '../ui/Section.tsx';
import { dayOf } from '../ui/today.ts';

const [WIDE, HIGH, LEFT, MARGIN] = [460, 170, 44, 16];

/** Each weighed run as a point, the weighted mean as a line within its limit. */
function DriftChart({ drift }: { drift: Drift }) {
  const ink = useInk();
  const { points } = drift;
  const most = Math.max(0.15, ...points.map(({ ratio }) => Math.abs(ratio - 1)));
  const x = (at: number) => LEFT + ((at + 0.5) / points.length) * (WIDE - LEFT - 8);
  const y = (ratio: number) => HIGH / 2 - ((ratio - 1) / most) * (HIGH / 2 - MARGIN);
  const line = (of: (at: number) => number) => points.map((_, index) => `${index === 0 ? 'M' : 'L'}${x(index).toFixed(1)} ${y(of(index)).toFixed(1)}`).join(''); // prettier-ignore
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      style={{ maxWidth: WIDE }}
      role="img"
      aria-label={say('record.drift.label')}
    >
      {[-most, 0, most].map((off) => (
        <g key={off}>
          <line x1={LEFT} x2={WIDE} y1={y(1 + off)} y2={y(1 + off)} stroke={ink.line} />
          <text x={LEFT - 6} y={y(1 + off) + 4.5} fontSize="13" textAnchor="end" fill={ink.ink}>
            {Math.round((1 + off) * 100)}
          </text>
        </g>
      ))}
      <path
        d={line((at) => 1 + points[at]!.limit)}
        fill="none"
        stroke={ink['ink-soft']}
        strokeDasharray="5 4"
      />
      <path
        d={line((at) => 1 - points[at]!.limit)}
        fill="none"
        stroke={ink['ink-soft']}
        strokeDasharray="5 4"
      />
      <path d={line((at) => points[at]!.mean)} fill="none" stroke={ink.act} strokeWidth="2.5" />
      {points.map(({ id, ratio, isOdd }, index) =>
        isOdd ? (
          <path
            key={id}
            d={`M${x(index) - 5} ${y(ratio) - 5}l10 10m0-10l-10 10`}
            stroke={ink.warn}
            strokeWidth="2.5"
          />
        ) : (
          <circle
            key={id}
            cx={x(index)}
            cy={y(ratio)}
            r="5"
            fill={ink.paper}
            stroke={ink.ink}
            strokeWidth="2"
          />
        ),
      )}
    </svg>
  );
}

const inPercent = (ratio: number): number => Math.round(ratio * 100);

/** Whether a machine drifts with a product, and what to do about it. */
export function DriftBox({ drift }: { drift: Drift }) {
  const { points, state, mean } = drift;
  const odd = points.findLast(({ isOdd }) => isOdd);
  const counted = points.filter(({ isOdd }) => !isOdd).length;
  if (points.length === 0) return null;
  return (
    <Section heading={say('record.drift')} noPrint>
      <Box fontSize="17px" {...((state === 'heavy' || state === 'light') && { color: 'warn', fontWeight: 'semibold' })}>
        {state === 'few' && say('record.drift.few', { count: counted })}
        {state === 'within' && say('record.drift.within', { count: counted, percent: inPercent(mean) })}
        {(state === 'heavy' || state === 'light') && say('record.drift.off', { count: counted, percent: inPercent(mean), side: state })}
      </Box>
      {odd && (
        <Box fontSize="16px" color="ink.soft">
          {say('record.drift.odd', { day: dayText(dayOf(new Date(odd.startedAt))), percent: inPercent(odd.ratio) })}
        </Box>
      )}
      {points.length > 1 && (
        <>
          <DriftChart drift={drift} />
          <Box fontSize="14px" color="ink.soft">{say('record.drift.axis')}</Box>
        </>
      )}
      {(state === 'heavy' || state === 'light') && (
        <Button asChild minHeight="touch" marginTop="6px">
          <Link to="../test" relative="path">{say('record.drift.test')}</Link>
        </Button>
      )}
    </Section>
  ); // prettier-ignore
}
