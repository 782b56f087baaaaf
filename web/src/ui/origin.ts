import type { Origin } from '@steady-scatter/core/working';

/** How the underline of a term tells its origin; the words are one tap away. */
export const UNDERLINE: Readonly<Record<Origin, object>> = {
  typed: { borderBottom: '2px solid' },
  measured: { borderBottom: '4px double' },
  test: { borderBottom: '3px solid' },
  label: { borderBottom: '2px dashed' },
  estimated: { borderBottom: '3px dotted' },
  computed: { borderBottom: '2px solid transparent' },
};
