import { Box, chakra, SegmentGroup, Stack } from '@chakra-ui/react';
import type { UnitChange } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { say } from '@steady-scatter/words/common';
import type { PanelPlace } from './PanelButton.tsx';
import { SmallPanel } from './SmallPanel.tsx';
import type { UnitOption } from './UnitPicker.tsx';

const CHANGES: { value: UnitChange; label: string }[] = [
  { value: 'convert', label: say('common.convertValue') },
  { value: 'keep-number', label: say('common.keepNumber') },
];

const Choice = chakra('button', {
  base: {
    display: 'flex',
    justifyContent: 'space-between',
    gap: '24px',
    width: '100%',
    padding: '8px 10px',
    borderRadius: '6px',
    cursor: 'pointer',
    textAlign: 'left',
    _hover: { bg: 'soft' },
    '@media (pointer: coarse)': { minHeight: '48px', alignItems: 'center' },
  },
});

interface Props {
  place: PanelPlace;
  label: string;
  current: string;
  options: readonly UnitOption<string>[];
  onPick(id: string, change: UnitChange): void;
}

/** The units to choose from, each with what the typed text would become. */
export default function UnitChoices({ place, label, current, options, onPick }: Props) {
  const [change, setChange] = useState<UnitChange>('convert');
  const hasValue = options.some(({ preview }) => preview !== null);
  return (
    <SmallPanel place={place} label={label} width="310px">
      {hasValue && (
        <SegmentGroup.Root
          size="sm"
          width="100%"
          marginBottom="8px"
          value={change}
          onValueChange={({ value }) => value && setChange(value as UnitChange)}
        >
          <SegmentGroup.Indicator />
          <SegmentGroup.Items items={CHANGES} flex="1" />
        </SegmentGroup.Root>
      )}
      <Stack gap="0">
        {options.map(({ id, symbol, preview }) => (
          <Choice
            key={id}
            type="button"
            aria-current={id === current ? 'true' : undefined}
            fontWeight={id === current ? 'bold' : 'normal'}
            onClick={() => {
              onPick(id, change);
              place.close();
            }}
          >
            <span>{symbol}</span>
            <Box as="span" color="ink.soft" fontVariantNumeric="tabular-nums">
              {preview?.(change)}
            </Box>
          </Choice>
        ))}
      </Stack>
    </SmallPanel>
  );
}
