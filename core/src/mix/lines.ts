import { message } from '../messages/message.ts';
import { systemOf } from '../quantities/units.ts';
import { moneyText } from '../fields/money.ts';
import { NUTRIENTS } from '../need/nutrients.ts';
import { splitUnit } from '../need/needField.ts';
import { showExact, showQuantity, type DisplayValue } from '../quantities/show.ts';
import { fromSi } from '../quantities/convert.ts';
import { RATE_AREAS, type MassPerAreaUnit, type UnitId } from '../quantities/units.ts';
import type { ProductInput, RateUnit } from '../products/product.ts';
import { liquidRateUnit } from '../products/rateUnit.ts';
import { operator, term, word, type Join, type Term, type Working } from '../working/working.ts';
import type { Mix, MixDelivery, MixPart } from './findMix.ts';

/** A mix as lines of working, ready to show: each product, each nutrient, the money. */
export interface MixLines {
  readonly parts: readonly {
    readonly id: string;
    readonly name: string;
    readonly working: Working;
    /** The rate as a need of the product itself, for a worksheet of it. */
    readonly need: { readonly amount: string; readonly unit: RateUnit };
  }[];
  readonly deliveries: readonly {
    readonly working: Working;
    readonly delivery: MixDelivery;
    readonly shown: DisplayValue;
    readonly wanted: DisplayValue;
  }[];
  /** Money on one area of the need's unit, and on all the ground; the latter null without ground. */
  readonly perArea: DisplayValue;
  readonly inAll: DisplayValue | null;
}

interface Context {
  readonly unit: MassPerAreaUnit;
  readonly areaM2: number | null;
  productOf(id: string): ProductInput | undefined;
}

function partLine(part: MixPart, { unit, areaM2, productOf }: Context): MixLines['parts'][number] {
  const product = productOf(part.id);
  const wet = product?.kind.startsWith('liquid') ?? false;
  const rateUnit: RateUnit = wet ? liquidRateUnit(unit) : unit;
  const [amountUnit, area] = splitUnit(rateUnit);
  const isUs = systemOf(unit) === 'us';
  const [dryUnit, wetUnit, areaUnit] = isUs ? (['lb', 'gal', 'ft2'] as const) : (['kg', 'L', 'm2'] as const);
  const big: UnitId = wet ? wetUnit : dryUnit;
  const perArea = part.centsPerM2 * RATE_AREAS[area].toSi;
  const onGround: (Term | Join)[] =
    areaM2 === null
      ? []
      : [
          operator('×'),
          term('area', showQuantity(areaM2, areaUnit), { origin: 'typed' }),
          operator('='),
          term('amount', showQuantity(part.rateSi * areaM2, big), { strong: true }),
        ];
  return {
    id: part.id,
    name: part.name,
    need: { amount: `${showExact(fromSi(part.rateSi, rateUnit), 4)} ${amountUnit}`, unit: rateUnit },
    working: {
      id: `part.${part.id}`,
      label: part.name,
      parts: [
        term('rate', showQuantity(part.rateSi, rateUnit), { strong: areaM2 === null }),
        ...onGround,
        word(message('working.for')),
        term('cost', { number: moneyText(areaM2 === null ? perArea : part.centsPerM2 * areaM2), unit: areaM2 === null ? `/ ${RATE_AREAS[area].symbol}` : '', isMoney: true }), // prettier-ignore
      ],
    },
  };
}

function deliveryLine(
  delivery: MixDelivery,
  mix: Mix,
  unit: MassPerAreaUnit,
): MixLines['deliveries'][number] {
  const { nutrient, kgPerM2, need, from } = delivery;
  const { symbol } = NUTRIENTS[nutrient];
  const shown = showQuantity(kgPerM2, unit);
  const wanted = showQuantity(need.kgPerM2, unit);
  const givers = from.flatMap((si, index) => (si > 0 ? [{ si, name: mix.parts[index]!.name }] : []));
  const sum = givers.flatMap((giver, index): (Term | Join)[] => [
    ...(index > 0 ? [operator('+')] : []),
    term(
      `from.${index}`,
      { number: showQuantity(giver.si, unit).number, unit: '' },
      { of: message('working.from', { name: giver.name }) },
    ),
  ]);
  return {
    delivery,
    shown,
    wanted,
    working: {
      id: `delivered.${nutrient}`,
      label: message('working.nutrient', { symbol, name: message(`kinds.nutrient.${nutrient}`) }),
      parts: [
        ...(givers.length > 1 ? [...sum, operator('=')] : []),
        term(
          'delivered',
          { number: shown.number, unit: shown.unit.replace(' /', ` ${symbol} /`) },
          { strong: true },
        ),
        ...(givers.length === 1 ? [word(message('working.from', { name: givers[0]!.name }))] : []),
        ...(need.kgPerM2 > 0
          ? [
              word(message('working.of')),
              term(
                'wanted',
                { number: wanted.number, unit: '' },
                { of: message('working.wanted'), origin: 'typed' },
              ),
            ]
          : [word(message(need.waived ? 'working.asItComes' : 'working.noneWanted'))]),
      ],
    },
  };
}

/**
 * The lines of a mix.
 *
 * @param unit unit of the needs; liquids are shown by volume on the same area
 * @param areaM2 all the ground, m2, or null
 * @param productOf the label of a part
 * @example mixLines(cheapestMix(findMix(mixRequest)), { unit: 'kg/ha', areaM2: 690, productOf: () => lakeFeed }).perArea // { number: '90.00', unit: '/ ha' }
 */
export function mixLines(mix: Mix, context: Context): MixLines {
  const { unit, areaM2 } = context;
  const [, area] = splitUnit(unit);
  return {
    parts: mix.parts.map((part) => partLine(part, context)),
    deliveries: mix.deliveries.map((delivery) => deliveryLine(delivery, mix, unit)),
    perArea: {
      number: moneyText(mix.centsPerM2 * RATE_AREAS[area].toSi),
      unit: `/ ${RATE_AREAS[area].symbol}`,
      isMoney: true,
    },
    inAll: areaM2 === null ? null : { number: moneyText(mix.centsPerM2 * areaM2), unit: '', isMoney: true },
  };
}
