import { Box, Button, chakra, Popover, Portal, Stack } from '@chakra-ui/react';
import { MISSING, ORIGINS, type Term } from '@steady-scatter/core';
import { UNDERLINE } from './origin.ts';
import { PickerTrigger } from './UnitPicker.tsx';

/** The units that a worked-out value can be shown in. */
export interface ShowIn {
  readonly options: readonly { id: string; symbol: string }[];
  /** The unit set on this sheet, or null while it follows what was typed. */
  readonly chosen: string | null;
  onPick(id: string | null): void;
}

const Figures = ({ term }: { term: Term }) => (
  <chakra.span
    whiteSpace="nowrap"
    color={term.strong ? 'ink' : undefined}
    css={term.strong ? undefined : UNDERLINE[term.origin]}
  >
    <chakra.span fontWeight={term.strong ? 'extrabold' : 'inherit'} fontVariantNumeric="tabular-nums">
      {term.shown?.number ?? MISSING}
    </chakra.span>
    {term.shown?.unit && (
      <chakra.span color="ink.soft" fontWeight="inherit">
        {' '}
        {term.shown.unit}
      </chakra.span>
    )}
  </chakra.span>
);

/** A term that is not typed. With a value it opens to tell its origin, its figures before rounding, and other units. */
export function ResultTerm({
  term,
  label,
  showIn,
}: {
  term: Term;
  label: string;
  showIn?: ShowIn | undefined;
}) {
  if (!term.shown || (!term.unrounded && !showIn)) return <Figures term={term} />;
  return (
    <Popover.Root positioning={{ placement: 'bottom-start' }} lazyMount unmountOnExit>
      <Popover.Trigger asChild>
        <PickerTrigger
          type="button"
          color="inherit"
          aria-label={`${label}: ${term.shown.number} ${term.shown.unit}`}
          textAlign="inherit"
        >
          <Figures term={term} />
        </PickerTrigger>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content width="280px" bg="paper" aria-label={label}>
            <Popover.Body padding="12px">
              <Box fontSize="14px" color="ink.soft">
                {label}, {ORIGINS[term.origin]}
              </Box>
              {term.unrounded && (
                <Box fontVariantNumeric="tabular-nums">{term.unrounded} before rounding</Box>
              )}
              {showIn && (
                <Stack gap="4px" marginTop="10px" direction="row" flexWrap="wrap">
                  <Button
                    size="xs"
                    aria-pressed={showIn.chosen === null}
                    variant={showIn.chosen === null ? 'solid' : 'outline'}
                    onClick={() => showIn.onPick(null)}
                  >
                    As typed
                  </Button>
                  {showIn.options.map(({ id, symbol }) => (
                    <Button
                      key={id}
                      size="xs"
                      aria-pressed={showIn.chosen === id}
                      variant={showIn.chosen === id ? 'solid' : 'outline'}
                      onClick={() => showIn.onPick(id)}
                    >
                      {symbol}
                    </Button>
                  ))}
                </Stack>
              )}
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
