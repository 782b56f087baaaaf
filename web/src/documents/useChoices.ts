import type { Kind, ReadableOf } from '@steady-scatter/contract';
import { readable, useList } from './docs.ts';
import { useSought } from './useSought.ts';

/**
 * What can be chosen from a list of any length: all of it where it is short enough to have come at once, else what is typed is
 * looked for on the server.
 *
 * @param textOf what one is found by here; it has to be in what the server looks through
 */
export function useChoices<Of extends Kind>(kind: { readonly kind: Of }, textOf: (line: ReadableOf<Of>) => string) {
  const { value, onChange, q } = useSought();
  const all = useList(kind);
  const first = all.data ?? { lines: [], total: 0 };
  const isWhole = first.total <= first.lines.length;
  const sought = useList(kind, { q }, !isWhole && q !== '');
  const from = isWhole || q === '' ? first : (sought.data ?? first);
  const words = value.toLowerCase().split(/\s+/);
  const lines = readable<Of>(from.lines);
  return {
    value,
    onChange,
    /** Those that have what is typed. */
    found: isWhole || value.trim() !== q ? lines.filter((line) => words.every((word) => textOf(line).toLowerCase().includes(word))) : lines,
    /** How many there are of them on the server. */
    total: isWhole ? null : from.total,
    hasCome: all.data !== undefined,
    error: all.error,
  };
} // prettier-ignore
