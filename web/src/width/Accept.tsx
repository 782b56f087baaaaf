import { Box, Button } from '@chakra-ui/react';
import { handySpacing } from '@steady-scatter/core/width';
import { rich, say } from '@steady-scatter/words/width';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { today } from '../ui/today.ts';
import type { WidthProps } from './widthProps.ts';
import { richly, TAGS } from '../ui/richly.tsx';

/** The spacing that is accepted, by whom and since when. */
export function Accept({ input, on, bind, set }: WidthProps) {
  const { lookedM, recommendedM } = on.reading;
  const { accepted } = input;
  const spacing = input.looked.text === '' ? recommendedM : lookedM;
  if (accepted)
    return (
      <Box marginTop="14px">
        <Box fontSize="18px">
          {richly(rich('width.accepted', { ...TAGS, spacing: accepted.text, day: dayText(accepted.onDay) }))}
        </Box>
        <Box display="flex" gap="10px" alignItems="end" flexWrap="wrap" marginTop="6px">
          <Box width="220px">
            <LabelledField label={say('width.by')} {...bind('accepted.by')} />
          </Box>
          <Button minHeight="44px" onClick={() => set('accepted', null)}>
            {say('common.undo')}
          </Button>
        </Box>
      </Box>
    );
  if (spacing === null || input.deflector) return null;
  const text = handySpacing(spacing, input.layout.unit);
  return (
    <Button
      variant="solid"
      minHeight={{ base: '60px', md: '48px' }}
      fontSize="17px"
      marginTop="14px"
      onClick={() => set('accepted', { text, unit: input.layout.unit, onDay: today(), by: '' })}
    >
      {say('width.accept', { spacing: text })}
    </Button>
  );
}
