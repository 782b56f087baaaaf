import { Box } from '@chakra-ui/react';
import { againstWanted } from '@steady-scatter/core/drawing';
import type { ChartPoint } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';

const [WIDE, HIGH] = [520, 84];
const [LEFT, RIGHT] = [10, 510];

interface Props {
  /** Rate with half its band, and the rate that is wanted with its tolerance, in one unit. */
  rate: ChartPoint;
  target: ChartPoint;
  /** What the drawing says, for people who listen. */
  label: string;
}

/** A rate against the one that is wanted, on a line from nothing to twice of it. */
export function ResultBand({ rate, target, label }: Props) {
  const { value, wanted } = againstWanted(rate, target);
  const at = (share: number) => LEFT + (RIGHT - LEFT) * share;
  return (
    <Box color="ink" maxWidth="560px">
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width="100%" role="img" aria-label={label}>
        <Box asChild fill="tape" opacity="0.65">
          <rect x={at(wanted.from)} y="16" width={Math.max(3, at(wanted.to) - at(wanted.from))} height="34" />
        </Box>
        <Box asChild stroke="line.strong" strokeWidth="2">
          <path d={`M${LEFT} 50H${RIGHT}`} />
        </Box>
        <Box asChild stroke="ink" strokeWidth="3">
          <path d={`M${at(value.from)} 33H${at(value.to)}`} />
        </Box>
        <Box asChild fill="act">
          <circle cx={at(value.at)} cy="33" r="8" />
        </Box>
        <text x={at(wanted.at)} y="72" textAnchor="middle" fontSize="16" fill="currentColor">
          {say('testRun.result.wanted')}
        </text>
        <text x={LEFT} y="72" fontSize="16" fill="currentColor">
          0
        </text>
      </svg>
    </Box>
  );
}
