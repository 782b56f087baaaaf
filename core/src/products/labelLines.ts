import { message } from '../messages/message.ts';
import { systemOf } from '../quantities/units.ts';
import { moneyText } from '../fields/money.ts';
import type { InputError } from '../errors/InputError.ts';
import { splitUnit } from '../need/needField.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact, showQuantity, type DisplayValue } from '../quantities/show.ts';
import { RATE_AREAS, UNITS, type AreaUnit, type MassPerAreaUnit, type UnitId } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import { readLabel, type LabelNeed, type LabelResult } from './labelReader.ts';
import type { ProductInput } from './product.ts';
import { liquidRateUnit } from './rateUnit.ts';
import { evaluateProduct, type ProductResult } from './evaluateProduct.ts';
import { NEED_OF, shareOf } from './wanted.ts';

/** A need that several products are held against, with the unit it is shown in. */
export type ShownNeed = LabelNeed & { readonly unit: MassPerAreaUnit };

/** What one product does for a need, ready to stand beside others; null where its label does not say enough. */
export interface LabelLines {
  /** From the need to the product rate. */
  readonly working: Working;
  readonly rate: DisplayValue | null;
  readonly delivered: readonly { readonly nutrient: Nutrient; readonly shown: DisplayValue }[];
  readonly slow: DisplayValue | null;
  readonly quick: DisplayValue | null;
  readonly packageCovers: DisplayValue | null;
  /** Ground that all the stock covers. */
  readonly stockCovers: DisplayValue | null;
  /** Price of the product on one area of the need's unit. */
  readonly pricePerArea: DisplayValue | null;
  readonly pricePerWanted: DisplayValue | null;
  readonly againstLabel: LabelResult['againstLabel'];
  readonly reading: LabelResult;
  readonly error: InputError | null;
}

const AREA_FOR: Readonly<Partial<Record<string, AreaUnit>>> = {
  '1000 ft2': 'ft2',
  '100 m2': 'm2',
  ha: 'm2',
  acre: 'ft2',
};

const shownOr = (si: number | null, unit: UnitId): DisplayValue | null =>
  si === null ? null : showQuantity(si, unit);

/** Money to the hundredth: the smallest coin, whatever the figures. */
const money = (cents: number | null, per: string): DisplayValue | null =>
  cents === null ? null : { number: moneyText(cents), unit: `/ ${per}`, isMoney: true };

function workingOf(product: ProductResult, need: ShownNeed, rate: DisplayValue | null): Working {
  const share = shareOf(product, need.nutrient);
  const asked = showExact(fromSi(need.perM2, need.unit), 6);
  const { symbol } = NEED_OF[need.nutrient];
  const percent = share === null ? null : { number: showExact(share * 100, 5), unit: '%' };
  const wet = product.form === 'liquid';
  const density = product.kgPerSi;
  return {
    id: 'label-rate',
    label: message('working.labelRate'),
    parts: [
      term(
        'need',
        {
          number: asked,
          unit:
            symbol === '' ? UNITS[need.unit].symbol : UNITS[need.unit].symbol.replace(' /', ` ${symbol} /`),
        },
        { origin: 'typed' },
      ),
      operator('÷'),
      term('share', percent, { origin: 'label' }),
      ...(wet
        ? [
            operator('÷'),
            term('density', density === null ? null : { number: showExact(density, 5), unit: 'kg/L' }, {
              origin: 'label',
            }),
          ]
        : []),
      operator('='),
      term('rate', rate, { strong: true }),
      ...(wet ? [word(message('working.ofLiquid'))] : []),
    ],
  };
}

/**
 * Reads one product's label for a need, ready to show beside others.
 *
 * @param typed the product as typed from its label
 * @param need what is wanted on each m2, and the unit it is shown in
 * @example labelLines(lakeFeed, { nutrient: 'N', perM2: 0.0039, unit: 'lb/1000 ft2' }).rate?.number // '3.33'
 */
export function labelLines(input: ProductInput, need: ShownNeed): LabelLines {
  const product = evaluateProduct(input);
  const reading = readLabel(product, need);
  const [mass, area] = splitUnit(need.unit);
  const areaUnit = AREA_FOR[area] ?? (area as AreaUnit);
  const rate = shownOr(reading.rateSi, product.form === 'dry' ? need.unit : liquidRateUnit(need.unit));
  const { packageCoversM2, centsPerM2, centsPerKgWanted } = reading;
  const stock = product.stockPackages;
  const big = systemOf(mass) === 'us' ? 'lb' : 'kg';
  return {
    working: workingOf(product, need, rate),
    rate,
    delivered: reading.delivered.map(({ nutrient, kgPerM2 }) => ({
      nutrient,
      shown: showQuantity(kgPerM2, need.unit),
    })),
    slow: shownOr(reading.slowKgPerM2, need.unit),
    quick: shownOr(reading.quickKgPerM2, need.unit),
    packageCovers: shownOr(packageCoversM2, areaUnit),
    stockCovers: shownOr(
      packageCoversM2 === null || stock === null ? null : packageCoversM2 * stock,
      areaUnit,
    ),
    pricePerArea: money(
      centsPerM2 === null ? null : centsPerM2 * RATE_AREAS[area].toSi,
      RATE_AREAS[area].symbol,
    ),
    pricePerWanted: money(
      centsPerKgWanted === null ? null : centsPerKgWanted * UNITS[big].toSi,
      `${big} ${NEED_OF[need.nutrient].symbol}`.trim(),
    ),
    againstLabel: reading.againstLabel,
    reading,
    error: reading.error,
  };
}

/**
 * The index of the product that costs least on the ground; null when no two prices are known.
 *
 * @example cheapest([]) // null
 */
export function cheapest(lines: readonly LabelLines[]): number | null {
  const costs = lines.map(({ reading }) => reading.centsPerM2 ?? Infinity);
  const least = Math.min(...costs);
  return costs.filter(Number.isFinite).length < 2 ? null : costs.indexOf(least);
}
