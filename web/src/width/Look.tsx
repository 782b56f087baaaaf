import { Box, Button, chakra } from '@chakra-ui/react';
import { fromSi, showExact, UNITS } from '@steady-scatter/core/quantities';
import type { WidthResult, WidthTestInput } from '@steady-scatter/core/width';
import { say } from '@steady-scatter/words/width';
import { LabelledField } from '../ui/LabelledField.tsx';
import { lengthText } from './widthProps.ts';

const Slider = chakra('input', {
  base: { width: '100%', height: { base: '56px', md: '32px' }, accentColor: 'act' },
});

interface Props {
  input: WidthTestInput;
  reading: WidthResult;
  /** What is typed or slid to; empty: the recommended spacing. */
  text: string;
  lookedM: number;
  onSlide(text: string): void;
  onType(text: string): void;
}

/** Slides the spacing that is looked at; everything follows. */
export function Look({ input, reading: { sweeps, throwM }, text, lookedM, onSlide, onType }: Props) {
  const unit = input.layout.unit;
  const least = sweeps?.[input.passPattern].spacingM[0] ?? lookedM;
  const value = fromSi(lookedM, unit);
  return (
    <Box marginTop="12px" data-noprint>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('width.look.label')}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 120px" gap="12px" alignItems="center">
        <Slider
          type="range"
          aria-label={say('width.look.slider')}
          aria-valuetext={lengthText(lookedM, input)}
          min={fromSi(least, unit)}
          max={fromSi(throwM ?? lookedM, unit)}
          step={unit === 'm' ? 0.01 : 0.05}
          value={value}
          onChange={(event) => onSlide(event.target.value)}
        />
        <LabelledField
          label={UNITS[unit].symbol}
          aria-label={say('width.look.spacing')}
          value={text}
          placeholder={showExact(value, 4)}
          onChange={onType}
        />
      </Box>
      {text !== '' && (
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={() => onType('')}>
          {say('width.look.back')}
        </Button>
      )}
    </Box>
  );
}
