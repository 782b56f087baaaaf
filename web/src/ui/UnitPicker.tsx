import { Box, chakra, Popover, Portal, SegmentGroup, Stack } from '@chakra-ui/react';
import type { UnitChange } from '@steady-scatter/core';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { UNDERLINE } from './origin.ts';

/** One unit to choose, and what the typed text would become each way; null while nothing readable is typed. */
export interface UnitOption<Id extends string> {
  readonly id: Id;
  readonly symbol: string;
  readonly preview: ((change: UnitChange) => string) | null;
}

interface Props<Id extends string> {
  /** What the unit belongs to, for people who listen: "unit of the need". */
  label: string;
  current: Id;
  /** The text beside the arrow: the unit while the number is bare, nothing when the text names it. */
  shown: string;
  options: readonly UnitOption<Id>[];
  /** Draws the underline of a typed term. */
  underlined?: boolean;
  onPick(id: Id, change: UnitChange): void;
}

const CHANGES: { value: UnitChange; label: string }[] = [
  { value: 'convert', label: 'Convert the value' },
  { value: 'keep-number', label: 'Keep the number' },
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
    _currentPage: { fontWeight: 'bold' },
    '@media (pointer: coarse)': { minHeight: '48px', alignItems: 'center' },
  },
});

export const PickerTrigger = chakra('button', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    alignSelf: 'center',
    gap: '1px',
    minHeight: '28px',
    minWidth: '24px',
    color: 'ink.soft',
    fontSize: 'inherit',
    paddingX: '3px',
    borderRadius: '4px',
    cursor: 'pointer',
    _hover: { bg: 'soft', color: 'ink' },
    '@media (pointer: coarse)': { minHeight: '44px', minWidth: '36px' },
    '@media print': { '& svg': { display: 'none' } },
  },
});

/** Changes a unit in place: converts the value or keeps the number, whichever the person says. */
export function UnitPicker<Id extends string>({
  label,
  current,
  shown,
  options,
  underlined = false,
  onPick,
}: Props<Id>) {
  const [open, setOpen] = useState(false);
  const [change, setChange] = useState<UnitChange>('convert');
  const hasValue = options.some(({ preview }) => preview !== null);
  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => setOpen(next.open)}
      positioning={{ placement: 'bottom-start' }}
      lazyMount
      unmountOnExit
    >
      <Popover.Trigger asChild>
        <PickerTrigger
          type="button"
          aria-label={`Change the ${label}${shown && `, now ${shown}`}`}
          {...(underlined && { color: 'ink', borderColor: 'ink', css: UNDERLINE.typed })}
        >
          {shown}
          <ChevronDown size={16} aria-hidden />
        </PickerTrigger>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            width="310px"
            maxHeight="70vh"
            overflowY="auto"
            bg="paper"
            aria-label={`Change the ${label}`}
          >
            <Popover.Body padding="10px">
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
                      setOpen(false);
                    }}
                  >
                    <span>{symbol}</span>
                    <Box as="span" color="ink.soft" fontVariantNumeric="tabular-nums">
                      {preview?.(change)}
                    </Box>
                  </Choice>
                ))}
              </Stack>
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
