import { chakra } from '@chakra-ui/react';

/** A table to be read: lines between its rows, numbers to the right where a cell says `data-end`. */
export const PlainTable = chakra('table', {
  base: {
    fontSize: '16px',
    width: '100%',
    '& th': { textAlign: 'left' },
    '& th, & td': { paddingY: '8px', paddingRight: '16px', verticalAlign: 'baseline' },
    '& tbody tr, & tfoot tr': { borderTopWidth: '1px', borderColor: 'line' },
    '& [data-end]': { textAlign: 'right', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' },
    '& thead th': { fontSize: '14px', color: 'ink.soft', fontWeight: 'semibold' },
  },
});
