import { Box, Button } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';
import type { CalibrationContext } from '../calibrationContext.ts';

/** The aim in one line, while it is not being changed. */
export function AimSummary({
  input,
  on,
  onOpen,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
  onOpen(): void;
}) {
  const { target, width, pace } = input;
  const bare = (text: string, unit: keyof typeof UNITS) =>
    /[a-z'"%]/i.test(text) ? text : `${text} ${UNITS[unit].symbol}`;
  const parts = [
    on.rig?.name ?? say('bench.list.noMachine'),
    input.product,
    target.amount &&
      say('bench.aim.target', {
        limit: input.isCeiling ? 'yes' : 'no',
        rate: bare(target.amount, target.unit),
        tolerance: input.tolerance,
      }),
    width.text &&
      say('bench.aim.widthOf', {
        width: bare(width.text, width.unit),
        kind: width.text.includes('/') ? 'rows' : width.by === 'chosen' ? 'passes' : 'tape',
      }),
    pace.time &&
      say('bench.aim.paceOf', { course: bare(pace.course, pace.unit), time: bare(pace.time, 's') }),
    input.second && say('bench.aim.secondOf', { control: on.rig?.second.name ?? '', mark: input.second }),
  ].filter(Boolean);
  return (
    <Box
      as="section"
      aria-label={say('bench.aim.heading')}
      display="flex"
      gap="4px 14px"
      flexWrap="wrap"
      alignItems="baseline"
      marginBottom="14px"
      fontSize="17px"
    >
      <Box minWidth={0}>{parts.join(' · ')}</Box>
      <Button variant="ghost" minHeight="44px" paddingX="8px" marginLeft="-8px" onClick={onOpen} data-noprint>
        {say('bench.aim.change')}
      </Button>
    </Box>
  );
}
