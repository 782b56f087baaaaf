import { Box, Button, chakra } from '@chakra-ui/react';
import { attempt, fromSi, readPositive, showExact, UNITS } from '@steady-scatter/core';
import { LabelledField } from '../ui/LabelledField.tsx';
import { lengthText, type WidthProps } from './widthProps.ts';

const Slider = chakra('input', {
  base: { width: '100%', height: { base: '56px', md: '32px' }, accentColor: 'act' },
});

/** Slides the spacing that is looked at; everything follows. */
export function Look({ typed, on, onChange }: WidthProps) {
  const { lookedM, throwM, trays } = on.reading;
  if (lookedM === null || throwM === null) return null;
  const unit = typed.layout.unit;
  const least = fromSi(Math.min(2 * (trays.spacingM ?? throwM / 10), throwM / 2), unit);
  // What is typed at once, not what was worked out from it: the slider must not jump back under the finger.
  const typedNow = attempt(() => readPositive(typed.looked.text, { kind: 'length', bareUnit: unit, field: 'looked' }, 'The pass spacing').si).value; // prettier-ignore
  const value = fromSi(typedNow ?? lookedM, unit);
  const set = (text: string) => onChange({ ...typed, looked: { text, unit } });
  return (
    <Box marginTop="12px" data-noprint>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        Look at another spacing
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 120px" gap="12px" alignItems="center">
        <Slider
          type="range"
          aria-label="Pass spacing looked at"
          aria-valuetext={lengthText(lookedM, typed)}
          min={least}
          max={fromSi(throwM, unit)}
          step={unit === 'm' ? 0.01 : 0.05}
          value={value}
          onChange={(event) => set(event.target.value)}
        />
        <LabelledField
          label={UNITS[unit].symbol}
          aria-label="Pass spacing"
          value={typed.looked.text}
          placeholder={showExact(value, 4)}
          onChange={set}
        />
      </Box>
      {typed.looked.text !== '' && (
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={() => set('')}>
          Back to the recommended one
        </Button>
      )}
    </Box>
  );
}
