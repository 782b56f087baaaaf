import { Box, Button } from '@chakra-ui/react';
import type { CalibrationReading, CalibrationTyped } from '@steady-scatter/core';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';

interface Props {
  typed: CalibrationTyped;
  reading: CalibrationReading;
  onChange(typed: CalibrationTyped): void;
}

/** The setting that is kept, by whom and since when. */
export function SignOff({ typed, reading: { advice }, onChange }: Props) {
  const { signOff } = typed;
  if (!signOff) {
    if (!advice || advice.standing === 'open') return null;
    return (
      <Section heading="Sign it off">
        <Button
          variant="solid"
          minHeight="48px"
          onClick={() =>
            onChange({ ...typed, signOff: { setting: advice.mark.label, onDay: today(), by: '' } })
          }
        >
          Keep at {advice.mark.label}
        </Button>
      </Section>
    );
  }
  const moved = advice && advice.mark.label !== signOff.setting;
  return (
    <Section heading="Signed off">
      <Box display="flex" flexWrap="wrap" gap="10px 18px" alignItems="end">
        <Box fontSize="19px" paddingBottom="8px">
          <b>{signOff.setting}</b>, since {dayText(signOff.onDay)}
        </Box>
        <Box flex="0 1 220px">
          <LabelledField
            label="By"
            value={signOff.by}
            onChange={(by) => onChange({ ...typed, signOff: { ...signOff, by } })}
          />
        </Box>
        <Button minHeight="44px" onClick={() => onChange({ ...typed, signOff: null })}>
          Take it back
        </Button>
      </Box>
      {moved && (
        <Box color="warn" fontWeight="semibold" marginTop="6px">
          ▲ The runs now speak for {advice.mark.label}.
        </Box>
      )}
    </Section>
  );
}
