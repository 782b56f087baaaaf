import { UNITS } from '../quantities/units.ts';
import { NEED_OF } from '../products/wanted.ts';
import { blankProduct, PRODUCT_KINDS, type ProductInput } from '../products/product.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import type { JobInput } from './job.ts';
import type { AreaInput, WorksheetInput } from './worksheetInput.ts';

/** One term that differs between two versions of a sheet, each side as it reads; null where the side lacks it. */
export interface Difference {
  /** Stable key of the term: 'name', 'need', 'grade', 'package', 'coverage', 'label', 'carrier', 'split', 'rules', 'spread', 'shownIn', 'area.<id>'. */
  readonly key: string;
  readonly label: string;
  readonly mine: string | null;
  readonly theirs: string | null;
}

/** Which side a term is taken from. */
export type Side = 'mine' | 'theirs';

const withUnit = (text: string, unit: string, symbol: string): string =>
  text === ''
    ? 'nothing typed'
    : isBareNumber(text) || /^[\d\s.,x×*]+$/i.test(text)
      ? `${text} (${symbol || unit})`
      : text;

const areaText = ({ name, size, unit }: AreaInput): string =>
  `${name || 'no name'}: ${withUnit(size, unit, UNITS[unit].symbol)}`;

function shownInText({ shownIn }: WorksheetInput): string {
  const set = [shownIn.rate, shownIn.amount, shownIn.area].filter((unit) => unit !== null);
  return set.length === 0 ? 'as typed' : set.map((unit) => UNITS[unit].symbol).join(', ');
}

/** Every text in something typed, in order; units and ids too. */
const textsIn = (value: unknown): string[] => {
  if (typeof value === 'string') return value.trim() === '' ? [] : [value.trim()];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(textsIn) : [];
};

/** Facts of a label that have a term of their own. */
const OWN_TERMS = new Set(['kind', 'grade', 'package', 'coverage']);

/** What else a label says, besides what has a term of its own: the facts that a blank label lacks. */
function labelText(product: ProductInput): string {
  const blank: Readonly<Record<string, unknown>> = { ...blankProduct(product.kind, 'us') };
  const said = Object.entries(product).filter(
    ([key, fact]) => !OWN_TERMS.has(key) && JSON.stringify(fact) !== JSON.stringify(blank[key]),
  );
  return [PRODUCT_KINDS[product.kind].words, ...said.flatMap(([, fact]) => textsIn(fact))].join(', ');
}

/** Every term of a sheet but its areas, as it reads. */
function termsOf({ name, onDay, worksheet }: JobInput): [key: string, label: string, text: string][] {
  const { need, product, carrier, split, rules, spread } = worksheet;
  const { grade, package: pack, coverage } = product;
  const needText = `${need.amount === '' ? 'nothing typed' : need.amount} ${NEED_OF[need.nutrient].symbol} (${UNITS[need.unit].symbol})`;
  const splitText =
    [split.portions === '' ? 'all at once' : `${split.portions} portions, ${split.everyDays || '?'} days apart`, split.directions === 'two' ? 'in two directions' : ''].filter(Boolean).join(', '); // prettier-ignore
  const soFar = rules.soFar.map(({ nutrient, amount }) => `${amount || '?'} ${nutrient}`).join(', ');
  const rulesText = [
    rules.setId && 'held against rules',
    rules.setId,
    rules.soilTest,
    rules.soilTestDay,
    soFar,
    soFar && rules.unit,
  ];
  return [
    ['name', 'Name', name],
    ['onDay', 'Day', onDay],
    ['need', 'Need', needText],
    ['grade', 'Grade', grade || 'nothing typed'],
    ['package', 'Package', withUnit(pack.size, pack.unit, UNITS[pack.unit].symbol)],
    ['coverage', 'Covers', withUnit(coverage.size, coverage.unit, UNITS[coverage.unit].symbol)],
    ['label', 'Label', labelText(product)],
    ['carrier', 'Spray volume', `${withUnit(carrier.amount, carrier.unit, UNITS[carrier.unit].symbol)}${carrier.means === 'water' ? ' of water alone' : ''}`], // prettier-ignore
    ['split', 'Portions', splitText],
    ['rules', 'Rules', rulesText.filter(Boolean).join(', ') || 'none'],
    [
      'spread',
      'Machine',
      textsIn([
        spread.calibration && 'by a chart',
        spread.width.text,
        spread.recomputed && 'worked out for it',
        spread.sameProduct,
      ]).join(', ') || 'none',
    ],
    ['shownIn', 'Shown in', shownInText(worksheet)],
    ['confirmed', 'Confirmed', worksheet.confirmed.join(', ')],
  ];
}

/**
 * The terms in which two versions of a sheet differ, areas matched by their ids.
 *
 * @param mine what stands on this screen
 * @param theirs what was kept meanwhile
 * @returns one entry for each term that differs, in the order of the sheet; none when they agree
 * @example differences({ name: 'Mine', onDay: '', worksheet: sheet }, { name: 'Other', onDay: '', worksheet: sheet })[0] // { key: 'name', mine: 'Mine', theirs: 'Other' }
 */
export function differences(mine: JobInput, theirs: JobInput): Difference[] {
  const other = termsOf(theirs);
  const terms = termsOf(mine).flatMap(([key, label, text], at): Difference[] => {
    const theirText = other[at]![2];
    return text === theirText ? [] : [{ key, label, mine: text, theirs: theirText }];
  });
  const byId = (areas: readonly AreaInput[]) => new Map(areas.map((area) => [area.id, areaText(area)]));
  const [my, their] = [byId(mine.worksheet.areas), byId(theirs.worksheet.areas)];
  const areas = [...new Set([...my.keys(), ...their.keys()])].flatMap((id): Difference[] => {
    const [a, b] = [my.get(id) ?? null, their.get(id) ?? null];
    return a === b ? [] : [{ key: `area.${id}`, label: 'Area', mine: a, theirs: b }];
  });
  return [...terms, ...areas];
}

/**
 * One sheet out of two, term by term. Areas that only one side has are kept or left as that side is chosen.
 *
 * @param choose the side for each key of `differences`
 * @example mergeSheets({ name: 'Mine', onDay: '', worksheet: sheet }, { name: 'Other', onDay: '', worksheet: sheet }, () => 'theirs').name // 'Other'
 */
export function mergeSheets(mine: JobInput, theirs: JobInput, choose: (key: string) => Side): JobInput {
  const side = (key: string): JobInput => (choose(key) === 'mine' ? mine : theirs);
  const find = ({ worksheet }: JobInput, id: string) => worksheet.areas.find((area) => area.id === id);
  const ids = new Set([...theirs.worksheet.areas, ...mine.worksheet.areas].map(({ id }) => id));
  const areas = [...ids].flatMap((id) => find(side(`area.${id}`), id) ?? []);
  return {
    name: side('name').name,
    onDay: side('onDay').onDay,
    worksheet: {
      need: side('need').worksheet.need,
      product: {
        ...side('label').worksheet.product,
        grade: side('grade').worksheet.product.grade,
        package: side('package').worksheet.product.package,
        coverage: side('coverage').worksheet.product.coverage,
      },
      areas,
      carrier: side('carrier').worksheet.carrier,
      split: side('split').worksheet.split,
      rules: side('rules').worksheet.rules,
      spread: side('spread').worksheet.spread,
      shownIn: side('shownIn').worksheet.shownIn,
      confirmed: side('confirmed').worksheet.confirmed,
    },
  };
}
