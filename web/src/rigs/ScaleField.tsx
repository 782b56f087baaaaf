import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { evaluateScale, readScaleLine, scaleLine, type RigInput } from '@steady-scatter/core/machines';
import { useState } from 'react';
import { say } from '@steady-scatter/words/rigs';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';

interface Props extends Pick<DocFormProps<RigInput>, 'input' | 'set'> {
  of: 'control' | 'second';
  label: string;
}

/** The marks of a control, said in one line; what they come to is told under it. */
export function ScaleField({ of, label, input, set }: Props) {
  const scale = input[of];
  // What is being typed stands as it is typed: a comma at its end says nothing yet.
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? scaleLine(scale);
  const read = toResult(() => readScaleLine(text, of));
  const { marks } = evaluateScale(scale, of);
  return (
    <Box>
      <LabelledField
        label={label}
        placeholder={say('rigs.scaleHint')}
        value={text}
        error={read.error ?? undefined}
        maxLength={2000}
        onBlur={() => setTyped(null)}
        onChange={(next) => {
          setTyped(next);
          const line = toResult(() => readScaleLine(next, of)).value;
          // What is no scale is kept as it was typed, and not saved before it is one.
          set(of, { ...scale, ...(line ?? { style: 'own', own: next, from: '', to: '', closed: '' }) });
        }}
      />
      <Box fontSize="15px" color="ink.soft" marginTop="2px">
        {marks.length > 1
          ? say('rigs.scaleRead', { count: marks.length, first: marks[0]!.label, last: marks.at(-1)!.label })
          : say('rigs.scaleHelp')}
      </Box>
    </Box>
  );
}
