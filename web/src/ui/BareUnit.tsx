import { Box } from '@chakra-ui/react';
import { isBareNumber, UNITS, type UnitId } from '@steady-scatter/core/quantities';

/** What a bare number counts in, beside its field; nothing where the text names its own unit. */
export const BareUnit = ({ text, unit }: { text: string; unit: UnitId }) =>
  text.trim() === '' || isBareNumber(text) ? <Box whiteSpace="nowrap">{UNITS[unit].symbol}</Box> : null;
