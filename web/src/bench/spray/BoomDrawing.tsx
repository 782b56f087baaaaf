import { Box } from '@chakra-ui/react';
import { showExact } from '@steady-scatter/core/quantities';
import type { NozzleCheck, NozzleVerdict } from '@steady-scatter/core/wet';
import { say } from '@steady-scatter/words/bench';

const [WIDE, TOP, FLOOR] = [560, 26, 150];
const SIGN: Readonly<Record<NozzleVerdict, string>> = { good: '', look: '△', replace: '▲' };

const percentOf = (share: number): string => `${share > 0 ? '+' : share < 0 ? '−' : ''}${showExact(Math.abs(share) * 100, 2)} %`; // prettier-ignore

/** What is said of a nozzle: how far from the others, and from what it is rated for. */
function nozzleText({ ofMean, ofRated, verdict }: NozzleCheck['nozzles'][number], number: number): string {
  return say('bench.spray.nozzle', { number, mean: percentOf(ofMean), rated: ofRated === null ? 'none' : percentOf(ofRated), verdict }); // prettier-ignore
}

/** The boom with its nozzles: how much each lets through, the mean as a line, the odd one marked by a sign and its number. */
export function BoomDrawing({ check }: { check: NozzleCheck }) {
  const { nozzles, meanLPerS } = check;
  const most = Math.max(...nozzles.map(({ flowLPerS }) => flowLPerS), meanLPerS);
  const step = WIDE / nozzles.length;
  const heightOf = (flow: number) => ((FLOOR - TOP - 24) * flow) / most;
  const odd = nozzles.flatMap((nozzle, index) => (nozzle.verdict === 'good' ? [] : [nozzleText(nozzle, index + 1)])); // prettier-ignore
  const label = say('bench.spray.boom', { count: nozzles.length, odd: odd.length === 0 ? 'none' : odd.join('; ') }); // prettier-ignore
  const fontSize = nozzles.length > 24 ? 10 : nozzles.length > 12 ? 14 : 20;
  return (
    <Box marginTop="12px">
      <Box asChild width="100%" maxWidth="640px" height="auto" color="ink">
        <svg viewBox={`0 0 ${WIDE} ${FLOOR + 26}`} role="img" aria-label={label}>
          <line x1="0" x2={WIDE} y1={TOP} y2={TOP} stroke="currentColor" strokeWidth="4" />
          {nozzles.map(({ flowLPerS, verdict }, index) => {
            const x = step * (index + 0.5);
            const half = Math.min(step * 0.42, 34);
            const y = TOP + 24 + heightOf(flowLPerS);
            return (
              // oxlint-disable-next-line react/no-array-index-key -- a nozzle is known by its place on the boom
              <g key={index}>
                <path d={`M${x} ${TOP}v8L${x - half} ${y}H${x + half}L${x} ${TOP + 8}`} fill={verdict === 'good' ? 'var(--chakra-colors-soft)' : verdict === 'look' ? 'var(--chakra-colors-tape)' : 'var(--chakra-colors-warn)'} stroke="currentColor" strokeWidth={verdict === 'good' ? 1 : 2.5} />
                <text x={x} y={FLOOR + 20} textAnchor="middle" fontSize={fontSize} fontWeight={verdict === 'good' ? 400 : 700} fill="currentColor">{`${SIGN[verdict]}${index + 1}`}</text>
              </g>
            );
          })}
          <line x1="0" x2={WIDE} y1={TOP + 24 + heightOf(meanLPerS)} y2={TOP + 24 + heightOf(meanLPerS)} stroke="currentColor" strokeWidth="1.5" strokeDasharray="6 5" />
        </svg>
      </Box>
      {odd.map((line) => (
        <Box key={line} fontSize="17px" fontWeight="semibold">
          {line}
        </Box>
      ))}
      {odd.length === 0 && <Box fontSize="16px">{say('bench.spray.allAlike')}</Box>}
    </Box>
  ); // prettier-ignore
}
