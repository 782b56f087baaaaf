import { Box } from '@chakra-ui/react';
import { isByTime } from '@steady-scatter/core/machines';
import { evaluateApplication, saysAmount, type DoneRow } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/record';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import { useSheet } from '../sheet/sheet.tsx';
import { Section } from '../ui/Section.tsx';

/** Farther off than this it wants explaining. */
const OFF = 0.05;
/** An area known no better than this explains a part of it. */
const WIDE = 0.01;

/** What can explain that more or less went out than was meant: only what applies to this sheet. */
export function WhyBox({ rows, of }: { rows: readonly DoneRow[]; of: RunOfSheet }) {
  const { numbers } = useSheet().answer;
  const isOff = rows.some(({ input }) => {
    const { ratio } = evaluateApplication(input);
    return saysAmount(input) && ratio !== null && Math.abs(ratio - 1) > OFF;
  });
  if (!isOff) return null;
  const { machine, sheet } = of;
  const band = numbers.totalM2 === null ? 0 : numbers.totalBandM2 / numbers.totalM2;
  const has = (id: string) => sheet.obstacles.some((each) => each.id === id);
  const reasons = [
    machine && isByTime(machine.kind) ? say('record.why.pace') : '',
    has('other-spacing') ? say('record.why.spacing') : '',
    band > WIDE ? say('record.why.area', { percent: (band * 100).toFixed(1) }) : '',
    has('stale') ? say('record.why.chart') : '',
  ].filter((text) => text !== '');
  if (reasons.length === 0) return null;
  return (
    <Section heading={say('record.why.heading')} noPrint>
      <Box as="ul" paddingLeft="18px" fontSize="17px">
        {reasons.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </Box>
    </Section>
  );
}
