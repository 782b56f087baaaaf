import { splitUnit, weightPart } from '../need/needField.ts';
import { NUTRIENTS } from '../need/nutrients.ts';
import { fromSi } from '../quantities/convert.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import { RATE_AREAS, UNITS, type UnitId } from '../quantities/units.ts';
import { operator, term, word, type Term, type Working } from '../working/working.ts';
import type { WorksheetNumbers } from './numbers.ts';
import type { WorksheetReading } from './readings.ts';
import type { WorksheetTyped } from './typed.ts';
import type { SheetUnits } from './units.ts';

/** All that the lines of a worksheet are made from. */
export interface SheetContext {
  readonly typed: WorksheetTyped;
  readonly reading: WorksheetReading;
  readonly numbers: WorksheetNumbers;
  readonly units: SheetUnits;
}

/** A worked-out value: three figures shown, more kept for whoever asks. */
function worked(role: string, si: number | null, unit: UnitId, strong = false): Term {
  if (si === null) return term(role, null, { strong });
  const unrounded = `${showNumber(fromSi(si, unit), 7)} ${UNITS[unit].symbol}`;
  return term(role, showQuantity(si, unit), { strong, unrounded });
}

const asTyped = (role: string, text: string, origin: Term['origin']): Term =>
  term(role, text.trim() === '' ? null : { number: text.trim(), unit: '' }, { origin });

/** A number typed without a unit, with the unit it counts in. */
const withBareUnit = (text: string, unit: UnitId): string =>
  isBareNumber(text) ? `${text.trim()} ${UNITS[unit].symbol}` : text;

export function needLine({ typed, reading, numbers, units }: SheetContext): Working {
  const [mass, area] = splitUnit(reading.need?.unit ?? typed.need.unit);
  const { fraction } = numbers;
  return {
    id: 'need',
    label: 'What the ground needs',
    parts: [
      asTyped('need.amount', withBareUnit(weightPart(typed.need.amount), mass), 'typed'),
      term('need.nutrient', { number: NUTRIENTS[typed.need.nutrient].symbol, unit: '' }, { origin: 'typed' }),
      word('on each'),
      term('need.per', { number: RATE_AREAS[area].symbol, unit: '' }, { origin: 'typed' }),
      operator('÷'),
      term('fraction', fraction === null ? null : { number: showExact(fraction * 100, 5), unit: '%' }, {
        origin: 'label',
      }),
      word('in'),
      asTyped('grade', typed.grade, 'label'),
      operator('='),
      worked('rate', numbers.rateKgPerM2, units.rate, true),
    ],
  };
}

export function areaLine({ typed, reading, numbers, units }: SheetContext, index: number): Working {
  const { size, name } = reading.areas[index]!;
  const { size: text, unit } = typed.areas[index]!;
  const isRectangle = size?.shape.kind === 'rectangle';
  const bareUnit = isRectangle ? size.shape.lengthUnit : unit;
  return {
    id: `area.${typed.areas[index]!.id}`,
    label: name || `Area ${index + 1}`,
    parts: [
      asTyped(
        'area.typed',
        withBareUnit(text.replace(/\s*(?:[x*]|\bby\b)\s*/i, ' × '), bareUnit),
        isRectangle ? 'measured' : 'typed',
      ),
      operator('='),
      worked('area.size', size?.areaM2 ?? null, units.area),
      operator('×'),
      worked('rate', numbers.rateKgPerM2, units.rate),
      operator('='),
      worked('area.amount', numbers.areas[index]!.amountKg, units.amount, true),
    ],
  };
}

export function totalLine({ numbers, units }: SheetContext): Working {
  return {
    id: 'total',
    label: 'In all',
    parts: [
      worked('rate', numbers.rateKgPerM2, units.rate),
      operator('×'),
      worked('total.area', numbers.totalM2, units.area),
      operator('='),
      worked('total.amount', numbers.amountKg, units.amount, true),
    ],
  };
}

export function packageLine({ typed, numbers, units }: SheetContext): Working {
  const { packages } = numbers;
  const exact = packages && {
    number: showNumber(packages.exact, 3),
    unit: packages.exact === 1 ? 'package' : 'packages',
  };
  return {
    id: 'packages',
    label: 'Packages',
    parts: [
      worked('total.amount', numbers.amountKg, units.amount),
      operator('÷'),
      asTyped('package.size', withBareUnit(typed.package.size, typed.package.unit), 'label'),
      operator('='),
      term('package.exact', exact, { unrounded: packages && showNumber(packages.exact, 7) }),
      word('so take'),
      term('package.whole', packages && { number: String(packages.whole), unit: '' }, { strong: true }),
    ],
  };
}

/** "0.800 lb / 1000 ft²" -> "0.800 lb N / 1000 ft²" */
const perAreaOf = (symbol: string, line: Term): Term =>
  line.shown
    ? { ...line, shown: { ...line.shown, unit: line.shown.unit.replace(' /', ` ${symbol} /`) } }
    : line;

export function backLine({ typed, reading, numbers, units }: SheetContext): Working {
  const { symbol } = NUTRIENTS[typed.need.nutrient];
  const unit = reading.need?.unit ?? typed.need.unit;
  return {
    id: 'back',
    label: 'Back-check',
    parts: [
      worked('total.amount', numbers.amountKg, units.amount),
      word(`of ${reading.grade?.typed.trim() ?? 'the product'} on`),
      worked('total.area', numbers.totalM2, units.area),
      word('puts down'),
      perAreaOf(symbol, worked('back', numbers.backKgPerM2, unit, true)),
    ],
  };
}

/** The label read backwards: package over the ground it covers, and the wanted nutrient in that rate. */
export function labelLine({ typed, reading, numbers, units }: SheetContext): Working {
  const unit = reading.need?.unit ?? typed.need.unit;
  const { symbol } = NUTRIENTS[typed.need.nutrient];
  const { size, unit: coverageUnit } = typed.coverage;
  return {
    id: 'label',
    label: 'What the label does',
    parts: [
      asTyped('label.package', withBareUnit(typed.package.size, typed.package.unit), 'label'),
      word('covers'),
      asTyped('coverage.size', withBareUnit(size, coverageUnit), 'label'),
      operator('='),
      worked('label.rate', numbers.label?.rateKgPerM2 ?? null, units.rate),
      word('puts down'),
      perAreaOf(symbol, worked('label.nutrient', numbers.label?.nutrientKgPerM2 ?? null, unit, true)),
    ],
  };
}

/** The same question the other way round: how far one package goes at the rate worked out. */
export function coversLine({ typed, numbers, units }: SheetContext): Working {
  return {
    id: 'covers',
    label: 'One package at this rate',
    parts: [
      asTyped('label.package', withBareUnit(typed.package.size, typed.package.unit), 'label'),
      operator('÷'),
      worked('rate', numbers.rateKgPerM2, units.rate),
      operator('='),
      worked('covers', numbers.packageCoversM2, units.area, true),
    ],
  };
}
