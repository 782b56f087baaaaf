import { InputError } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
import { readPositive } from '../quantities/quantity.ts';
import { message } from '../messages/message.ts';

/** A cup or a jug of the crew: its name, and what it holds, L. */
export interface Measure {
  readonly name: string;
  readonly volumeL: number;
}

/**
 * The crew's own cups and jugs, as typed in one line: "blue jug 64 fl oz, cup 8 fl oz".
 *
 * @param field for the error
 * @returns the largest first
 * @throws InputError measures.line; unit.…, number.… with the part that is wrong
 * @example readMeasures('cup 250 mL, jug 2 L', 'measures')[0] // { name: 'jug', volumeL: 2 }
 */
export function readMeasures(input: string, field: string): Measure[] {
  const parts = input.split(/[,;\n]/).map((part) => part.trim()).filter((part) => part !== ''); // prettier-ignore
  return parts
    .map((part) => {
      const found = /^(.*?)\s+(\d.*)$/.exec(part);
      if (!found) throw new InputError('measures.line', { field, input: part });
      const [, name = '', size = ''] = found;
      const { si } = readPositive(
        size,
        { kind: 'volume', bareUnit: null, field },
        message('errors.what.tank'),
      );
      return { name: name.trim(), volumeL: si };
    })
    .toSorted((a, b) => b.volumeL - a.volumeL);
}

/** So many of a measure, the last with a part of it. */
export interface Measured {
  readonly name: string;
  readonly count: number;
}

/**
 * A volume in one's own measures: whole ones of the largest first, the rest as a part of the smallest.
 *
 * @param volumeL 0 or more
 * @param measures the largest first
 * @returns empty without measures
 * @example inMeasures(4.5, [{ name: 'jug', volumeL: 2 }, { name: 'cup', volumeL: 0.25 }]) // [{ name: 'jug', count: 2 }, { name: 'cup', count: 2 }]
 */
export function inMeasures(volumeL: number, measures: readonly Measure[]): Measured[] {
  let left = volumeL;
  return measures.flatMap(({ name, volumeL: each }, index) => {
    const isLast = index === measures.length - 1;
    const exact = finite(left / each);
    const count = isLast ? exact : Math.floor(exact + 1e-9);
    left = Math.max(0, left - count * each);
    return count > 1e-9 ? [{ name, count }] : [];
  });
}
