import { Box } from '@chakra-ui/react';
import { changeIn } from '@steady-scatter/core/width';
import { say, speak } from '@steady-scatter/words/width';
import { Choice } from '../ui/Choice.tsx';
import { useWidthTests } from '../kinds/useWidthTests.ts';
import type { WidthProps } from './widthProps.ts';

/** Held against the test from before something was changed. */
export function BeforeAndAfter({ input, on, bind }: WidthProps) {
  const { data: tests = [] } = useWidthTests();
  const others = tests.filter(({ input: each }) => each.rig === input.rig && each.name !== input.name && each.spacingMethod === 'trays'); // prettier-ignore
  if (others.length === 0) return null;
  const { pattern, lookedM } = on.reading;
  const compare = () => {
    if (!on.before || !pattern || lookedM === null) return null;
    return speak(changeIn(on.before.pattern, pattern, lookedM, input.passPattern));
  };
  return (
    <Box marginTop="14px" maxWidth="420px" data-noprint>
      <Choice
        label={say('width.before.label')}
        options={[
          { id: '', label: say('width.before.none') },
          ...others.map(({ id, input: each }) => ({ id, label: each.name })),
        ]}
        {...bind('before')}
      />
      {compare() && <Box marginTop="6px">{compare()}</Box>}
    </Box>
  );
}
