import { Box, Button } from '@chakra-ui/react';
import { rateByFill, walkedBy } from '@steady-scatter/core/runSheet';
import { say } from '@steady-scatter/words/walk';
import { fillEndText, lengthText } from '../load/texts.ts';
import { ON_PACE } from './paceNote.ts';
import type { RunProps } from './runProps.ts';

/** Where fills should end, and what those that ended say of the rate. */
export function FillMarks({ run, of, units, log: walk, isElsewhere }: RunProps) {
  const { empties, watch } = walk.log;
  const next = run.fills[empties.length];
  const walked = walkedBy(run.plan.legs, watch.laps.length, walk.elapsedS, of.sheet.paceMPerS);
  const since = walked - (empties.at(-1) ?? 0);
  return (
    <Box fontSize="18px" display="grid" gap="6px">
      {empties.map((metres, index) => {
        const fill = run.fills[index];
        const lasted = metres - (empties[index - 1] ?? 0);
        if (!fill || lasted <= 0) return null;
        const off = rateByFill(fill.amountSi, lasted, fill.amountSi / fill.metres) - 1;
        const how = Math.abs(off) < ON_PACE ? 'on' : off > 0 ? 'heavy' : 'light';
        return (
          <Box key={metres} fontWeight="semibold">
            {say('walk.fill.is', {
              number: index + 1,
              metres: lengthText(lasted, units.length),
              meant: lengthText(fill.metres, units.length),
              how,
              percent: Math.round(Math.abs(off) * 100),
            })}
          </Box>
        );
      })}
      {next?.end && (
        <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center">
          {say('walk.fill.should', { number: empties.length + 1, where: fillEndText(next, units.length) })}
          <Button
            minHeight="56px"
            disabled={since <= 0 || isElsewhere}
            onClick={() => walk.noteEmpty(walked)}
          >
            {say('walk.fill.empty')}
          </Button>
        </Box>
      )}
    </Box>
  );
}
