import { Box, Button } from '@chakra-ui/react';
import {
  daysNeeded,
  fewestPortions,
  mostAllowedShare,
  type RuleCheck,
} from '@steady-scatter/core/regulations';
import { lessNeed } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/rules';
import { useSheet } from '../sheet/sheet.tsx';
import { useSheetChange } from '../sheet/useSheetChange.ts';

/** What can be done about broken rules: ask for less, split, or leave more days between. */
export function Repairs({ checks }: { checks: readonly RuleCheck[] }) {
  const { answer } = useSheet();
  const input = useSheet().worksheet;
  const change = useSheetChange();
  const broken = checks.filter(({ state }) => state === 'broken');
  if (broken.length === 0) return null;
  const share = mostAllowedShare(checks);
  const less = share > 0 && share < 1 ? lessNeed(answer, input, share) : null;
  const portions = fewestPortions(checks);
  const days = daysNeeded(checks);
  const isHelpless = share === 1 && portions === null && days === null;
  return (
    <Box display="flex" flexWrap="wrap" gap="10px" marginTop="10px" alignItems="center" data-noprint>
      {less && (
        <Button onClick={() => change({ ...input, need: { ...input.need, amount: less } }, say('rules.repair.needIs'))}>{say('rules.repair.use', { most: less })}</Button>
      )}
      {portions !== null && (
        <Button
          onClick={() =>
            change(
              { ...input, split: { ...input.split, portions: String(portions), everyDays: input.split.everyDays || String(answer.reading.product.leastIntervalDays ?? 28) } },
              say('rules.repair.split', { portions }),
            )
          }
        >{say('rules.repair.splitDo', { portions })}</Button>
      )}
      {days !== null && (
        <Button onClick={() => change({ ...input, split: { ...input.split, everyDays: String(days) } }, say('rules.repair.apart', { days }))}>{say('rules.repair.apartDo', { days })}</Button>
      )}
      {share === 0 && <Box>{say('rules.repair.nothing')}</Box>}
      {isHelpless && <Box>{say('rules.repair.noLower')}</Box>}
    </Box>
  ); // prettier-ignore
}
