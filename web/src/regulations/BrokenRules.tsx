import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { rich, say, speak } from '@steady-scatter/words/rules';
import { overText } from './overText.ts';
import { Repairs } from './Repairs.tsx';
import { useRuleChecks } from './useRuleChecks.ts';
import { WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

/** What is broken stands at the answer, with what would mend it one act away. */
export default function BrokenRules({ onCount }: { onCount(broken: number): void }) {
  const { checks } = useRuleChecks();
  const broken = checks.filter(({ state }) => state === 'broken');
  const count = broken.length;
  useEffect(() => onCount(count), [count, onCount]);
  if (count === 0) return null;
  return (
    <WarningBox marginTop="12px" _print={{ borderWidth: 0, padding: 0, marginTop: '4px' }}>
      {broken.map(({ id, rule, overBy }) => (
        <Box key={id} fontSize="16px">
          {richly(rich('rules.broken.rule', { ...TAGS, rule: speak(rule) }))}
          {overBy && say('rules.broken.by', { amount: overText(overBy) })}.
        </Box>
      ))}
      <Repairs checks={checks} />
    </WarningBox>
  );
}
