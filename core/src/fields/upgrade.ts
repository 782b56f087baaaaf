/** What was stored of a thing, of whatever version. */
export type Json = Readonly<Record<string, unknown>>;

/** One step of a stored thing to the next version of its schema: pure, and never changed once it has shipped. */
export interface UpgradeStep {
  /** Paths of fields that the earlier version did not have: a write by it leaves them as they stand. */
  readonly adds: readonly string[];
  upgrade(earlier: Json): Json;
}

/**
 * Whether something is a table of fields.
 *
 * @example isJson([]) // false
 */
export const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The part of a thing under a key; empty where there is none. */
export const partOf = (whole: Json, key: string): Json => {
  const part = whole[key];
  return isJson(part) ? part : {};
};

/** The text of a thing under a key; empty where there is none. */
export const textIn = (whole: Json, key: string): string => {
  const text = whole[key];
  return typeof text === 'string' ? text : '';
};

/** The list of a thing under a key, each part changed; what is no list, or no part, stays for the schema to refuse. */
export const eachIn = (whole: Json, key: string, change: (part: Json) => Json): unknown => {
  const list = whole[key];
  return Array.isArray(list) ? list.map((part: unknown) => (isJson(part) ? change(part) : part)) : list;
};

/**
 * What is missing of a thing, from a blank one; what is there stays, also what the blank one does not know.
 *
 * @example filledIn({ name: '', width: { text: '', unit: 'ft' } }, { width: { text: '6' } }) // { name: '', width: { text: '6', unit: 'ft' } }
 */
export function filledIn(blank: Json, earlier: Json): Json {
  const filled = Object.entries(blank).map(([key, value]): [string, unknown] => {
    const given = earlier[key];
    if (isJson(value) && isJson(given)) return [key, filledIn(value, given)];
    return [key, given === undefined ? value : given];
  });
  return { ...earlier, ...Object.fromEntries(filled) };
}

/**
 * The same under other names: `{ excluded: 'excluded' }`. One that stands under its new name already stays.
 *
 * @example renamed({ excluded: 'wind' }, { excluded: 'excluded' }) // { excluded: 'wind' }
 */
export const renamed = (whole: Json, names: Readonly<Record<string, string>>): Json =>
  Object.fromEntries(Object.entries(whole).map(([key, value]) => [names[key] ?? key, value]));

/**
 * The version of a schema that these steps lead to: the first is 1.
 *
 * @example versionAfter([]) // 1
 */
export const versionAfter = (steps: readonly UpgradeStep[]): number => steps.length + 1;

/**
 * Brings what was stored of a thing to the version that its steps lead to.
 *
 * @param from version it was stored at, 1 or more, at most `versionAfter(steps)`
 * @returns what the schema of that version still has to read
 * @example upgraded([{ adds: [], upgrade: (earlier) => ({ ...earlier, lot: '' }) }], 1, { name: 'Lake feed' }) // { name: 'Lake feed', lot: '' }
 */
export const upgraded = (steps: readonly UpgradeStep[], from: number, stored: Json): Json =>
  steps.slice(from - 1).reduce((earlier, { upgrade }) => upgrade(earlier), stored);

const at = (whole: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((part, key) => (isJson(part) ? part[key] : undefined), whole);

function put(whole: Json, [key = '', ...rest]: readonly string[], value: unknown): Json {
  const part = whole[key];
  return { ...whole, [key]: rest.length === 0 ? value : put(isJson(part) ? part : {}, rest, value) };
}

/**
 * A change by a client that knows an earlier version: brought up to date, with what it could not know as it stands.
 *
 * @param from version of the client
 * @param standing what is stored, at the version that the steps lead to; null for a new thing
 * @example upgradedOver([{ adds: ['lot'], upgrade: (earlier) => ({ ...earlier, lot: '' }) }], 1, { name: 'Lake feed' }, { name: 'Old', lot: 'A' }) // { name: 'Lake feed', lot: 'A' }
 */
export function upgradedOver(
  steps: readonly UpgradeStep[],
  from: number,
  change: Json,
  standing: Json | null,
): Json {
  const added = steps.slice(from - 1).flatMap(({ adds }) => adds);
  return added.reduce(
    (whole, path) => {
      const value = at(standing, path.split('.'));
      return value === undefined ? whole : put(whole, path.split('.'), value);
    },
    upgraded(steps, from, change),
  );
}
