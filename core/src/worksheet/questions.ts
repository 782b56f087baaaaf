import { message, type Message } from '../messages/message.ts';
import { systemOf } from '../quantities/units.ts';
import { toResult } from '../errors/InputError.ts';
import { readSize, retypeSize, type SizeResult } from '../fields/size.ts';
import { splitUnit } from '../need/needField.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import { UNITS, type AreaUnit } from '../quantities/units.ts';
import { isNutrient, NEED_OF } from '../products/wanted.ts';
import type { WorksheetNumbers } from './numbers.ts';
import type { WorksheetResult } from './readings.ts';
import type { WorksheetInput } from './worksheetInput.ts';

/** Something typed that is more likely a slip: asked before it is believed, with the likely reading one act away. */
export interface Question {
  /** Names the field and what stands in it, so that an answer holds for that alone. */
  readonly id: string;
  readonly kind:
    | 'load-fraction'
    | 'slow-fraction'
    | 'need-high'
    | 'rate-high'
    | 'package-swapped'
    | 'area-unit'
    | 'spray-low';
  /** Path of the field that it is about. */
  readonly field: string;
  readonly text: Message;
  /** The sheet as it was likely meant; null where that is not known. */
  readonly likely: { readonly label: Message | string; readonly sheet: WorksheetInput } | null;
}

interface Sheet {
  readonly input: WorksheetInput;
  readonly reading: WorksheetResult;
  readonly numbers: WorksheetNumbers;
}

/** A share under this, typed without a percent sign, is more likely a fraction: 0.0043 for 0.43 %. */
const FRACTION_OF_LOAD = 0.0005;
/** A slow share from here to 1 is a fraction: no label states 0.3 %. */
const FRACTION_OF_NITROGEN = 0.01;
/** More nitrogen, or more of another nutrient, than this at once burns anything, kg/m2 (4 and 8 lb on 1000 ft2). */
const HIGH_NEED = { N: 0.02, other: 0.04 };
/** More product than this on each m2 is a slip of the area, kg or L. */
const HIGH_RATE = 0.5;
/** A package over a tonne that covers less than this, or a label rate over 1 kg/m2, stands the wrong way round. */
const SWAPPED = { packageKg: 1000, coverM2: 200, rate: 1 };
/** Less mix than this wets nothing, L/m2 (10 L/ha). */
const LOW_SPRAY = 0.001;

const withProductFact = (
  input: WorksheetInput,
  fact: Partial<WorksheetInput['product']>,
): WorksheetInput => ({
  ...input,
  product: { ...input.product, ...fact },
});

/** Shares typed as fractions. */
function fractions({ input, reading }: Sheet): Question[] {
  const { load, slowShare } = input.product;
  const asPercent = (share: number) => `${showExact(share * 1e4)} %`;
  const isSmall = (share: number | null, text: string, most: number): share is number =>
    share !== null && share > 0 && share < most && !text.includes('%');
  return [
    ...(isSmall(reading.product.load, load, FRACTION_OF_LOAD)
      ? [{
          id: `load-fraction:${load}`,
          kind: 'load-fraction' as const,
          field: 'product.load',
          text: message('questions.load', { typed: load, meant: asPercent(reading.product.load) }),
          likely: { label: asPercent(reading.product.load), sheet: withProductFact(input, { load: asPercent(reading.product.load) }) },
        }]
      : []),
    ...(isSmall(reading.product.slowShare, slowShare, FRACTION_OF_NITROGEN)
      ? [{
          id: `slow-fraction:${slowShare}`,
          kind: 'slow-fraction' as const,
          field: 'product.slowShare',
          text: message('questions.slow', { typed: slowShare, meant: asPercent(reading.product.slowShare) }),
          likely: { label: asPercent(reading.product.slowShare), sheet: withProductFact(input, { slowShare: asPercent(reading.product.slowShare) }) },
        }]
      : []),
  ]; // prettier-ignore
}

/** "10 lb N on each 1000 ft2" for 1 lb. */
function highNeed({ input, reading }: Sheet): Question[] {
  const { need } = reading;
  const { nutrient: of } = input.need;
  if (!need || !isNutrient(of) || need.si <= (of === 'N' ? HIGH_NEED.N : HIGH_NEED.other)) return [];
  const [amountUnit, area] = splitUnit(need.unit);
  const tenth = `${showExact(fromSi(need.si / 10, need.unit), 4)} ${amountUnit}`;
  return [{
    id: `need-high:${input.need.amount}:${input.need.unit}`,
    kind: 'need-high',
    field: 'need.amount',
    text: message('questions.needHigh', { amount: `${showExact(fromSi(need.si, need.unit), 4)} ${amountUnit} ${NEED_OF[of].symbol}`, area, meant: tenth }),
    likely: { label: tenth, sheet: { ...input, need: { ...input.need, amount: tenth } } },
  }]; // prettier-ignore
}

/** "1 lb/ft2" for 1 lb on each 1000 ft2. */
function highRate({ input, reading, numbers }: Sheet): Question[] {
  const { need } = reading;
  if (numbers.rateSi === null || numbers.rateSi <= HIGH_RATE || !need) return [];
  const [amountUnit, area] = splitUnit(need.unit);
  const wider = area === 'ft2' ? '1000 ft2' : area === 'm2' ? '100 m2' : null;
  const rate = showQuantity(numbers.rateSi, need.unit);
  const amount = `${showExact(fromSi(need.si, need.unit), 4)} ${amountUnit}`;
  const unit = wider && (`${amountUnit}/${wider}` as WorksheetInput['need']['unit']);
  const meant = unit && { amount, area: UNITS[unit].symbol.split(' / ')[1] ?? wider };
  return [{
    id: `rate-high:${input.need.amount}:${input.need.unit}`,
    kind: 'rate-high',
    field: 'need.amount',
    text: message(meant ? 'questions.rateHigh' : 'questions.rateTooHigh', { rate: `${rate.number} ${rate.unit}`, ...meant }),
    likely: unit && meant && unit in UNITS ? { label: message('questions.onEach', meant), sheet: { ...input, need: { ...input.need, amount, unit } } } : null,
  }]; // prettier-ignore
}

/** "12 000 lb covers 40 ft2" for 40 lb on 12 000 ft2. */
function swapped({ input, reading }: Sheet): Question[] {
  const { package: pack, coverage } = reading.product;
  if (!pack || !coverage) return [];
  const isSwapped = (pack.si > SWAPPED.packageKg && coverage.areaM2 < SWAPPED.coverM2) || pack.si / coverage.areaM2 > SWAPPED.rate; // prettier-ignore
  if (!isSwapped) return [];
  const { package: packTyped, coverage: coverTyped } = input.product;
  const [size, ground] = [showExact(fromSi(coverage.areaM2, coverage.unit)), showExact(fromSi(pack.si, pack.unit))]; // prettier-ignore
  const meant = { package: `${size} ${UNITS[pack.unit].symbol}`, ground: `${ground} ${UNITS[coverage.unit].symbol}` }; // prettier-ignore
  return [{
    id: `package-swapped:${packTyped.size}:${coverTyped.size}`,
    kind: 'package-swapped',
    field: 'product.coverage.size',
    text: message('questions.swapped', { ...meant, typedPackage: `${ground} ${UNITS[pack.unit].symbol}`, typedGround: `${size} ${UNITS[coverage.unit].symbol}` }),
    likely: {
      label: message('questions.covers', meant),
      sheet: withProductFact(input, { package: { ...packTyped, size: `${size} ${pack.unit}` }, coverage: { ...coverTyped, size: `${ground} ${coverage.unit}` } }),
    },
  }]; // prettier-ignore
}

const isUsArea = (size: SizeResult): boolean => size.unit !== 'm2' && size.unit !== 'ha';
const OTHER: Readonly<Record<AreaUnit, AreaUnit>> = {
  m2: 'ft2',
  ha: 'acre',
  ft2: 'm2',
  yd2: 'm2',
  acre: 'ha',
};
/** An area this many times the others, or a part of them, is out of line. */
const OUT_OF_LINE = 4;

/** 10 m for 10 ft beside areas that are all in feet: out of line as typed, and in line in their unit. */
function oddUnits({ input, reading }: Sheet): Question[] {
  const sized = reading.areas.flatMap(({ size }, index) => (size ? [{ size, index }] : []));
  return sized.flatMap(({ size, index }): Question[] => {
    const others = sized.filter((other) => other.index !== index);
    if (others.length < 2 || others.some((other) => isUsArea(other.size) === isUsArea(size))) return [];
    const usual = others.reduce((sum, other) => sum + Math.log(other.size.areaM2), 0) / others.length;
    const retyped = retypeSize(size, OTHER[size.unit], 'keep-number');
    const meant = toResult(() => readSize(retyped, size.unit, '')).value;
    const off = (areaM2: number) => Math.abs(Math.log(areaM2) - usual);
    if (!meant || off(size.areaM2) < Math.log(OUT_OF_LINE) || off(meant.areaM2) > off(size.areaM2)) return [];
    const area = input.areas[index]!;
    return [{
      id: `area-unit:${area.id}:${area.size}:${area.unit}`,
      kind: 'area-unit',
      field: `areas.${index}.size`,
      text: message('questions.areaUnit', { area: area.name.trim() || message('working.area', { number: index + 1 }), meant: retyped }),
      likely: { label: retyped, sheet: { ...input, areas: input.areas.with(index, { ...area, size: retyped }) } },
    }];
  });
} // prettier-ignore

/** "0.001 gal/acre": less mix than wets anything. */
function lowSpray({ input, reading, numbers }: Sheet): Question[] {
  const perM2 = numbers.mix?.perM2 ?? reading.carrierSi;
  if (perM2 === null || perM2 >= LOW_SPRAY) return [];
  const unit = systemOf(input.carrier.unit) === 'us' ? 'gal/1000 ft2' : 'L/ha';
  const { number, unit: symbol } = showQuantity(perM2, unit);
  const text = message('questions.sprayLow', { volume: `${number} ${symbol}` });
  return [{ id: `spray-low:${input.carrier.amount}:${input.carrier.unit}`, kind: 'spray-low', field: 'carrier.amount', text, likely: null }]; // prettier-ignore
}

/**
 * What has to be asked about a sheet; what was answered with yes is left out.
 *
 * @example questionsOf({ input: sheet, ...answer }) // []: 0.8 lb N on each 1000 ft2 is usual
 */
export function questionsOf(sheet: Sheet): Question[] {
  const all = [fractions, highNeed, highRate, swapped, oddUnits, lowSpray].flatMap((ask) => ask(sheet));
  return all.filter(({ id }) => !sheet.input.confirmed.includes(id));
}
