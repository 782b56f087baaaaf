import { Box } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import type { WidthTestInput } from '@steady-scatter/core/width';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/width';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { useRigs } from '../kinds/useRigs.ts';
import { NotesField } from '../ui/formParts.tsx';
import { Catches } from './Catches.tsx';
import { WidthAim } from './WidthAim.tsx';
import { useWidth } from './useWidth.ts';
import { WidthAnswer } from './WidthAnswer.tsx';

/** A width test: what was thrown and caught on the left, the spacing to pass at on the right. */
export function WidthForm(props: DocFormProps<WidthTestInput>) {
  const { input, errorAt, bind } = props;
  const on = useWidth(input);
  const { data: rigs = [] } = useRigs();
  const rig = rigs.find(({ id }) => id === input.rig)?.input ?? null;
  const errorIn = (field: string): InputError | undefined => errorAt(field);
  const usesTrays = input.spacingMethod === 'trays';
  // A test that was made is looked at by its catches; one that begins, by what it asks. Where it stands it stays.
  const [isMade] = useState(() => input.rows.some((row) => row.some((text) => text.trim() !== '')));
  const aim = <WidthAim {...props} />;
  // On a phone: what is set out first while nothing is caught, then the catches and the answer.
  const hasCatches = on.reading.pattern !== null;
  const loose = on.reading.errors.find(({ field, code }) => field === 'rows.0.0' && code === 'trays.nothing');
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.1fr) minmax(0, 1fr)' }}
      gap={{ base: '18px', lg: '32px' }}
      alignItems="start"
    >
      <Box minWidth={0} display={{ base: 'contents', lg: 'block' }}>
        {!(isMade && usesTrays) && <Box order={hasCatches ? 3 : 1}>{aim}</Box>}
        {usesTrays && (
          <Box order={hasCatches ? 1 : 3} minWidth={0}>
            <Catches {...props} errorAt={errorIn} reading={on.reading} />
          </Box>
        )}
        {loose && (
          <Box role="alert" color="warn" fontWeight="semibold" marginBottom="14px">
            ▲ {speak(loose.sentence)}
          </Box>
        )}
        {isMade && usesTrays && <Box order={3}>{aim}</Box>}
        <Box order={6}>
          <NotesField label={say('width.notes')} {...bind('notes')} />
        </Box>
      </Box>
      <Box order={hasCatches ? 2 : 5} minWidth={0}>
        <WidthAnswer {...props} on={on} rig={rig} />
      </Box>
    </Box>
  );
}
