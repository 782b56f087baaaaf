import { isJson, type Json } from './upgrade.ts';

/** Which of two changes of one thing a value is taken from. */
export type Side = 'mine' | 'theirs';

/** One value in which two changes of one thing differ. */
export interface Difference {
  /** Where it stands, field names and ids of list items apart by dots: `areas.#a1.size`. */
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Who changed it since both began: one side, or both; where the beginning is not known, both. */
  readonly changedBy: Side | 'both';
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A text with its unit is one value, an area with its size and unit too: one of them from each side would be neither. */
const isOneValue = (value: Json): boolean =>
  'unit' in value && Object.values(value).every((each) => typeof each === 'string');

type Item = Json & { readonly id: string };

const itemsOf = (value: unknown): readonly Item[] | null => {
  if (!Array.isArray(value)) return null;
  const items = value.filter((each): each is Item => isJson(each) && typeof each['id'] === 'string');
  return items.length === value.length && new Set(items.map(({ id }) => id)).size === items.length
    ? items
    : null;
};

const byId = (items: readonly Item[], id: string): Item | undefined => items.find((item) => item.id === id);
const idsOf = (...lists: readonly (readonly Item[])[]): string[] => [
  ...new Set(lists.flat().map(({ id }) => id)),
];

/** What both sides have in parts, so that it is compared and merged part by part; null: it is one value. */
function partsOf(
  mine: unknown,
  theirs: unknown,
): { names: string[]; of(value: unknown, name: string): unknown; items: boolean } | null {
  const [my, their] = [itemsOf(mine), itemsOf(theirs)];
  if (my && their)
    return {
      names: idsOf(their, my).map((id) => `#${id}`),
      of: (value, name) => byId(itemsOf(value) ?? [], name.slice(1)),
      items: true,
    };
  if (!isJson(mine) || !isJson(theirs) || isOneValue(mine) || isOneValue(theirs)) return null;
  return {
    names: [...new Set([...Object.keys(mine), ...Object.keys(theirs)])],
    of: (value, name) => (isJson(value) ? value[name] : undefined),
    items: false,
  };
}

const under = (path: string, name: string): string => (path === '' ? name : `${path}.${name}`);

/**
 * Where two changes of one thing differ, value by value; items of lists are matched by their ids, a text and its unit are one value.
 *
 * @param base what both began from; undefined where it is not known
 * @param mine one change, plain data
 * @param theirs the other
 * @returns in the order of the fields; none when they agree
 * @example differencesBetween({ name: 'A', day: '1' }, { name: 'B', day: '1' }, { name: 'A', day: '2' }) // [{ path: 'name', mine: 'B', theirs: 'A', changedBy: 'mine' }, { path: 'day', mine: '1', theirs: '2', changedBy: 'theirs' }]
 */
export function differencesBetween(base: unknown, mine: unknown, theirs: unknown, path = ''): Difference[] {
  if (same(mine, theirs)) return [];
  const parts = partsOf(mine, theirs);
  if (parts)
    return parts.names.flatMap((name) =>
      differencesBetween(
        parts.of(base, name),
        parts.of(mine, name),
        parts.of(theirs, name),
        under(path, name),
      ),
    );
  const changedBy = same(base, theirs) ? 'mine' : same(base, mine) ? 'theirs' : 'both';
  return [{ path, mine, theirs, changedBy }];
}

/**
 * One thing out of two changes of it.
 *
 * @param mine one change, plain data
 * @param theirs the other
 * @param sideOf the side of each path of `differencesBetween`; an item that only one side has is there or not as that side has it
 * @returns theirs order of list items first, then those that only mine has
 * @example merged({ name: 'B', day: '1' }, { name: 'A', day: '2' }, (path) => (path === 'day' ? 'theirs' : 'mine')) // { name: 'B', day: '2' }
 */
export function merged<Value>(mine: Value, theirs: Value, sideOf: (path: string) => Side): Value {
  const at = (my: unknown, their: unknown, path: string): unknown => {
    if (same(my, their)) return my;
    const parts = partsOf(my, their);
    if (!parts) return sideOf(path) === 'mine' ? my : their;
    const pairs = parts.names.flatMap((name) => {
      const value = at(parts.of(my, name), parts.of(their, name), under(path, name));
      return value === undefined ? [] : [[name, value] as const];
    });
    return parts.items ? pairs.map(([, value]) => value) : Object.fromEntries(pairs);
  };
  return at(mine, theirs, '') as Value;
}
