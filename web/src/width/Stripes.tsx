import { Box } from '@chakra-ui/react';
import {
  depositOfPass,
  depositOfPasses,
  isTurned,
  type OnGround,
  type Pattern,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { say } from '@steady-scatter/words/width';

const [WIDE, HIGH] = [1000, 330];
const PASSES = 4;
const COLUMNS = 150;
const GROUND_TOP = 214;

interface Props {
  pattern: Pattern;
  ground: OnGround;
  spacingM: number;
  passPattern: WidthTestInput['passPattern'];
  limit: number;
  /** "5.15 m" */
  spacing: string;
}

/** Four passes from behind: each one's pattern, what they add up to with its mean and limits, and the stripes it leaves. */
export function Stripes({ pattern, ground, spacingM, passPattern, limit, spacing }: Props) {
  const { mean } = ground.overlay;
  const from = -spacingM / 2;
  const span = PASSES * spacingM;
  const at = (xM: number) => ((xM - from) / span) * WIDE;
  const most = Math.max(2 * mean, ...ground.overlay.y);
  const up = (value: number) => 190 - (145 * value) / most;
  const xs = Array.from({ length: COLUMNS + 1 }, (_, index) => from + (span * index) / COLUMNS);
  const path = (of: (x: number) => number) => xs.map((x, index) => `${index === 0 ? 'M' : 'L'}${at(x).toFixed(1)} ${up(of(x)).toFixed(1)}`).join(''); // prettier-ignore
  return (
    <Box color="ink" marginTop="14px">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        role="img"
        aria-label={say('width.stripes.label', { spacing })}
      >
        <Box asChild fill="tape" opacity="0.45">
          <rect
            x="0"
            y={up(mean * (1 + limit))}
            width={WIDE}
            height={up(mean * (1 - limit)) - up(mean * (1 + limit))}
          />
        </Box>
        <Box asChild stroke="ink.soft" strokeWidth="1.5" fill="none" strokeDasharray="4 4">
          <g>
            {Array.from({ length: PASSES + 2 }, (_, index) => (
              <path key={index} d={path((x) => depositOfPass(pattern, spacingM, passPattern, index - 1, x))} />
            ))}
          </g>
        </Box>
        <Box asChild stroke="act" strokeWidth="4" fill="none">
          <path d={path((x) => depositOfPasses(ground.overlay, x))} />
        </Box>
        <Box asChild stroke="ink" strokeWidth="2">
          <path d={`M0 190H${WIDE}`} />
        </Box>
        {Array.from({ length: PASSES }, (_, pass) => (
          <g key={pass}>
            <Box asChild stroke="ink" strokeWidth="2">
              <path d={`M${at(pass * spacingM)} 36V190`} strokeDasharray="1 6" />
            </Box>
            <Box asChild fill="ink" fontSize={{ base: '38px', md: '30px' }}>
              <text x={at(pass * spacingM)} y="26" textAnchor="middle">
                {say('width.stripes.pass', { arrow: isTurned(pass, passPattern) ? '↓' : '↑', number: pass + 1 })}</text>
            </Box>
          </g>
        ))}
        <Box asChild fill="act">
          <g>
            {xs.slice(0, -1).map((x, index) => (
              <rect
                key={x}
                x={(WIDE * index) / COLUMNS}
                y={GROUND_TOP}
                width={WIDE / COLUMNS + 0.6}
                height="56"
                opacity={Math.min(1, 0.5 * (mean > 0 ? depositOfPasses(ground.overlay, x + span / COLUMNS / 2) / mean : 0)) ** 1.5}
              />
            ))}
          </g>
        </Box>
        <Box asChild fill="ink" fontSize={{ base: '38px', md: '30px' }}>
          <text x={WIDE / 2} y={HIGH - 16} textAnchor="middle">{say('width.stripes.above')}</text>
        </Box>
      </svg>
    </Box>
  ); // prettier-ignore
}
