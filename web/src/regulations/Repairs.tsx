import { Box, Button } from '@chakra-ui/react';
import {
  daysNeeded,
  fewestPortions,
  mostAllowedShare,
  type RuleCheck,
} from '@steady-scatter/core/regulations';
import { lessNeed } from '@steady-scatter/core/worksheet';
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
        <Button onClick={() => change({ ...input, need: { ...input.need, amount: less } }, 'The need is now the most that is allowed.')}>
          Use the most allowed: {less}
        </Button>
      )}
      {portions !== null && (
        <Button
          onClick={() =>
            change(
              { ...input, split: { ...input.split, portions: String(portions), everyDays: input.split.everyDays || String(answer.reading.product.leastIntervalDays ?? 28) } },
              `The whole is now put down in ${portions} portions.`,
            )
          }
        >
          Split in {portions}
        </Button>
      )}
      {days !== null && (
        <Button onClick={() => change({ ...input, split: { ...input.split, everyDays: String(days) } }, `The portions are now ${days} days apart.`)}>
          Put {days} days between
        </Button>
      )}
      {share === 0 && <Box>Nothing of this product is allowed here now. Choose another product.</Box>}
      {isHelpless && <Box>No lower rate would keep this rule. Choose another product, another day, or get a soil test.</Box>}
    </Box>
  ); // prettier-ignore
}
