import { UNITS } from '@steady-scatter/core/quantities';
import type { Difference } from '@steady-scatter/core/fields';
import { say } from '@steady-scatter/words/common';

/** Words of fields whose names do not read like them. */
const WORDS: Readonly<Record<string, string>> = {
  onDay: say('common.field.onDay'),
  worksheet: '',
  product: '',
  need: say('common.field.need'),
  coverage: say('common.field.coverage'),
  carrier: say('common.field.carrier'),
  areas: say('common.field.area'),
  shownIn: say('common.field.shownIn'),
  rig: say('common.field.machine'),
  productId: say('common.field.product'),
};

/** "slowRelease" as a person reads it: "Slow release". */
function wordOf(name: string): string {
  const known = WORDS[name];
  if (known !== undefined) return known;
  const words = name.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

type Named = { readonly id?: unknown; readonly name?: unknown };

/** The item of an id in whichever of two things has it, by its name. */
function itemName(id: string, ...things: readonly unknown[]): string {
  for (const thing of things) {
    const found = Array.isArray(thing) ? (thing as Named[]).find((item) => item.id === id) : undefined;
    if (found) return typeof found.name === 'string' && found.name !== '' ? found.name : say('common.noName');
  }
  return say('common.noName');
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;
const at = (value: unknown, name: string): unknown => {
  if (name.startsWith('#') && Array.isArray(value))
    return (value as Named[]).find(({ id }) => `#${String(id)}` === name);
  return isRecord(value) ? value[name] : undefined;
};

/** Where a difference stands, as a person would say it: "Area, Lake front, size". */
export function placeOf({ path }: Difference, mine: unknown, theirs: unknown): string {
  let [my, their] = [mine, theirs];
  const words: string[] = [];
  for (const name of path.split('.')) {
    const word = name.startsWith('#') ? itemName(name.slice(1), my, their) : wordOf(name);
    if (word !== '') words.push(words.length > 0 && !name.startsWith('#') ? word.toLowerCase() : word);
    [my, their] = [at(my, name), at(their, name)];
  }
  return words.join(', ');
}

const unitText = (unit: unknown): string =>
  typeof unit === 'string'
    ? ((UNITS as Readonly<Record<string, { symbol: string }>>)[unit]?.symbol ?? unit)
    : '';

/** Texts with their unit, where one is a bare number. */
function withUnit(thing: Record<string, unknown>): string {
  const { unit } = thing;
  const said = Object.entries(thing).flatMap(([key, text]) =>
    key !== 'unit' && key !== 'id' && typeof text === 'string' && text !== '' ? [text] : [],
  );
  const shown = said.map((text) => (/^[\d.,\s]+$/.test(text) ? `${text} ${unitText(unit)}`.trim() : text));
  return shown.join(' ') || say('common.nothingTyped');
}

/** A thing of several values: its name, and what else is typed of it. */
function partsText(thing: Record<string, unknown>): string {
  const { name } = thing;
  const texts = Object.entries(thing)
    .filter(([key]) => key !== 'name' && key !== 'id')
    .filter(([, value]) => value !== false && value !== null && value !== '')
    .map(([, value]) => valueText(value))
    .filter((text) => text !== say('common.nothingTyped'));
  return [name, ...texts].filter(Boolean).join(', ') || say('common.nothingTyped');
}

/** A value as it is typed; null: it is not there. */
export function valueText(value: unknown): string | null {
  if (value === undefined) return null;
  if (value === null || value === '') return say('common.nothingTyped');
  if (typeof value === 'boolean') return value ? say('common.yes') : say('common.no');
  if (Array.isArray(value)) return value.map(valueText).filter(Boolean).join(', ') || say('common.nothing');
  if (!isRecord(value)) return JSON.stringify(value).replace(/^"|"$/g, '');
  return 'unit' in value ? withUnit(value) : partsText(value);
}
