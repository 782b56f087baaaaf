import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { say } from '@steady-scatter/words/bench';

interface Props {
  /** Metres; null while it is not typed. */
  lengthM: number | null;
  widthM: number | null;
  /** As typed: "100 ft". */
  length: string;
  width: string;
  /** Said inside the strip: what was timed. */
  inside: string;
  passes: number;
  /** Nothing is walked: a bucket stands under the outlet. */
  standing?: boolean;
}

const [WIDE, HIGH] = [560, 194];
const STRIP = { left: 60, right: 470, top: 34, most: 92, least: 16 };

interface LabelProps {
  x: number;
  y: number;
  anchor?: 'start' | 'middle' | 'end';
  children: ReactNode;
}

/** On a phone the drawing is smaller, its words are not. */
const Label = ({ x, y, anchor = 'middle', children }: LabelProps) => (
  <Box asChild fontSize={{ base: '23px', md: '16px' }} fill="ink">
    <text x={x} y={y} textAnchor={anchor}>
      {children}
    </text>
  </Box>
);

/** The strip to scale with its dimensions: where to open, where to shut, and how wide a pass counts. */
export function StripDrawing({ lengthM, widthM, length, width, inside, passes, standing = false }: Props) {
  const isKnown = lengthM !== null && widthM !== null && lengthM > 0 && widthM > 0;
  const drawn = STRIP.right - STRIP.left;
  const scaled = isKnown ? (drawn * widthM) / lengthM : 60;
  // A strip much wider than long is drawn as high as there is room, and said so.
  const height = Math.min(STRIP.most, Math.max(STRIP.least, scaled));
  const toScale = Math.abs(height - scaled) < 0.5;
  const middle = STRIP.top + STRIP.most / 2;
  const [top, bottom] = [middle - height / 2, middle + height / 2];
  return (
    <Box color="ink" maxWidth="620px">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        role="img"
        aria-label={say('testRun.strip.label', {
          kind: standing ? 'course' : 'strip',
          length: length || say('testRun.strip.lengthUntyped'),
          width: width || say('testRun.strip.widthUntyped'),
        })}
      >
        <Label x={STRIP.left} y={22}>
          {standing ? say('testRun.strip.start') : say('testRun.strip.open')}
        </Label>
        <Label x={STRIP.right} y={22}>
          {standing ? say('testRun.strip.stop') : say('testRun.strip.shut')}
        </Label>
        <Box
          asChild
          fill="soft"
          stroke="ink"
          strokeWidth="2"
          strokeDasharray={isKnown && toScale ? undefined : '7 5'}
        >
          <rect x={STRIP.left} y={top} width={drawn} height={height} />
        </Box>
        <Box asChild stroke="act" strokeWidth="4">
          <path
            d={`M${STRIP.left} 28V${STRIP.top + STRIP.most + 8}M${STRIP.right} 28V${STRIP.top + STRIP.most + 8}`}
          />
        </Box>
        <Box asChild stroke="ink.soft" strokeWidth="1.5" fill="none" strokeLinejoin="round">
          <g>
            <path d={`M${STRIP.left - 46} ${middle}H${STRIP.right + 40}`} strokeDasharray="3 6" />
            <path d={`M${STRIP.right + 31} ${middle - 7}l10 7l-10 7`} />
          </g>
        </Box>
        {inside && (
          <Label x={(STRIP.left + STRIP.right) / 2} y={height > 44 ? middle - 10 : top - 6}>
            {inside}
          </Label>
        )}
        <Label x={STRIP.right + 12} y={height > 40 ? bottom - 4 : bottom + 22} anchor="start">
          {width}
        </Label>
        <Box asChild stroke="ink.soft" strokeWidth="1.5">
          <path d={`M${STRIP.left} 152H${STRIP.right}M${STRIP.left} 146v12M${STRIP.right} 146v12`} />
        </Box>
        <Label x={(STRIP.left + STRIP.right) / 2} y={180}>
          {say('testRun.strip.caption', { length, passes, scale: isKnown && !toScale ? 'no' : 'yes' })}
        </Label>
      </svg>
    </Box>
  );
}
