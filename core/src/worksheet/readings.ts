import { message } from '../messages/message.ts';
import { readWhole } from '../fields/counts.ts';
import type { SoFar } from '../need/soFar.ts';
import { collect, type Collected } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readSize, type SizeResult } from '../fields/size.ts';
import { readNeed, type NeedResult } from '../need/needField.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { evaluateLabelFacts, type ProductResult } from '../products/evaluateProduct.ts';
import { noteDay } from '../fields/heading.ts';
import type { AreaInput, RuleFactsInput, SplitInput, WorksheetInput } from './worksheetInput.ts';

/** One row of ground as read. `size` is null while nothing, or nothing readable, was typed. */
export interface AreaResult {
  readonly id: string;
  readonly name: string;
  /** Id of the site it was chosen from; null: typed by hand. */
  readonly site: string | null;
  readonly size: SizeResult | null;
  readonly state: 'blank' | 'unsized' | 'wrong' | 'read';
}

/** Portions as read: a number of them, the days between two, and in how many directions each is put down. */
export interface SplitResult {
  readonly portions: number;
  readonly everyDays: number | null;
  readonly directions: 1 | 2;
}

/** A worksheet as read: each part or null, and every error with its field's path. */
export interface WorksheetResult {
  readonly need: NeedResult | null;
  readonly product: ProductResult;
  readonly areas: readonly AreaResult[];
  /** Finished mix, L/m2. */
  readonly carrierSi: number | null;
  /** One portion in one direction where nothing is typed. */
  readonly split: SplitResult;
  readonly soFar: readonly SoFar[];
  /** Distance between passes, m. */
  readonly passedM: number | null;
  readonly errors: readonly InputError[];
}

const MAX_PORTIONS = 24;

function areaState({ name, size }: AreaInput, read: SizeResult | null): AreaResult['state'] {
  if (read) return 'read';
  if (size.trim() !== '') return 'wrong';
  return name.trim() === '' ? 'blank' : 'unsized';
}

function readSplit(input: SplitInput, readIfPresent: Collected['readIfPresent']): SplitResult {
  const { portions, everyDays, directions } = input;
  const count = readIfPresent(portions, () =>
    readWhole(portions, { field: 'split.portions', most: MAX_PORTIONS }),
  );
  const days = readIfPresent(everyDays, () => readWhole(everyDays, { field: 'split.everyDays', most: 366 }));
  return { portions: count ?? 1, everyDays: days, directions: directions === 'two' ? 2 : 1 };
}

const readSoFar = ({ soFar, unit }: RuleFactsInput, readIfPresent: Collected['readIfPresent']): SoFar[] =>
  soFar.flatMap(({ nutrient, amount }, index) => {
    const wanted = { kind: 'massPerArea', bareUnit: unit, field: `rules.soFar.${index}.amount` } as const;
    const kgPerM2 = readIfPresent(amount, () => {
      const { si } = readQuantity(amount, wanted);
      if (si >= 0) return si;
      throw new InputError('count.unreadable', { field: wanted.field, hint: '1.6' });
    });
    return kgPerM2 === null ? [] : [{ nutrient, kgPerM2 }];
  });

/**
 * Reads all that was typed on a worksheet. An empty field is missing, not wrong.
 *
 * @param typed the worksheet as typed
 * @returns the readings; errors carry paths such as `areas.2.size` and `product.grade`
 * @example evaluateWorksheet(blankWorksheet('us', 'a')).errors // []
 */
export function evaluateWorksheet(input: WorksheetInput): WorksheetResult {
  const { errors, tryRead, readIfPresent } = collect();
  const { need, carrier, split, rules } = input;
  const product = evaluateLabelFacts(input.product);
  errors.push(...product.errors.map((error) => error.under('product')));
  const { width } = input.spread;
  const passedM = readIfPresent(width.text, () => readPositive(width.text, { kind: 'length', bareUnit: width.unit, field: 'spread.width.text' }, message('errors.what.passSpacing')).si); // prettier-ignore
  noteDay(tryRead, rules.soilTestDay, 'rules.soilTestDay');
  return {
    need: readIfPresent(need.amount, () => readNeed(need.amount, need.unit, 'need.amount')),
    product,
    areas: input.areas.map((area, index): AreaResult => {
      const size = readIfPresent(area.size, () => readSize(area.size, area.unit, `areas.${index}.size`));
      return {
        id: area.id,
        name: area.name.trim(),
        site: area.from?.site ?? null,
        size,
        state: areaState(area, size),
      };
    }),
    carrierSi: readIfPresent(carrier.amount, () => {
      const wanted = { kind: 'volumePerArea', bareUnit: carrier.unit, field: 'carrier.amount' } as const;
      return readPositive(carrier.amount, wanted, message('errors.what.sprayVolume')).si;
    }),
    split: readSplit(split, readIfPresent),
    soFar: readSoFar(rules, readIfPresent),
    passedM,
    errors,
  };
}
