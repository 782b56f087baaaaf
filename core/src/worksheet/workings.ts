import { message } from '../messages/message.ts';
import { textWithUnit } from '../quantities/show.ts';
import { systemOf } from '../quantities/units.ts';
import { moneyText } from '../fields/money.ts';
import { splitUnit, weightPart } from '../need/needField.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact, showNumber, showQuantity, showWithUncertainty } from '../quantities/show.ts';
import { RATE_AREAS, UNITS, type UnitId } from '../quantities/units.ts';
import { isNutrient, NEED_OF } from '../products/wanted.ts';
import { operator, term, word, type Term, type Working } from '../working/working.ts';
import type { WorksheetNumbers } from './numbers.ts';
import type { WorksheetResult } from './readings.ts';
import type { WorksheetInput } from './worksheetInput.ts';
import type { SheetUnits } from './units.ts';

/** All that the lines of a worksheet are made from. */
export interface SheetContext {
  readonly input: WorksheetInput;
  readonly reading: WorksheetResult;
  readonly numbers: WorksheetNumbers;
  readonly units: SheetUnits;
}

/** A worked-out value: three figures shown, or what its band supports; more kept for whoever asks. */
function worked(role: string, si: number | null, unit: UnitId, strong = false, bandSi = 0): Term {
  if (si === null) return term(role, null, { strong });
  const unrounded = `${showNumber(fromSi(si, unit), 7)} ${UNITS[unit].symbol}`;
  const shown = bandSi > 0 ? showWithUncertainty(si, bandSi, unit) : showQuantity(si, unit);
  return term(role, shown, { strong, unrounded });
}

const asTyped = (role: string, text: string, origin: Term['origin']): Term =>
  term(role, text.trim() === '' ? null : { number: text.trim(), unit: '' }, { origin });

/** A size typed without a unit, sides and cut-outs too, with the unit it counts in. */
const withSizeUnit = (text: string, unit: UnitId): string =>
  /[a-z'"²]/i.test(text) || text.trim() === '' ? text : text.replace(/^(.*?)(\s*±.*)?$/, `$1 ${UNITS[unit].symbol}$2`); // prettier-ignore

/** What a product holds of what is wanted: the share on the label, and for a liquid what one liter of it weighs. */
function holding({ input, reading, numbers }: SheetContext, by: '×' | '÷'): Working['parts'] {
  const { nutrient: of } = input.need;
  const { product } = reading;
  if (of === 'product') return [];
  const perVolume = input.product.gradeBasis === 'volume' && isNutrient(of) && product.form === 'liquid'; // prettier-ignore
  const share = numbers.share === null ? null : showExact(numbers.share * 100, 5);
  const weighs = product.form === 'liquid' && !perVolume;
  return [
    operator(by),
    term('fraction', share === null ? null : { number: share, unit: perVolume ? '% (w/v)' : '%' }, {
      origin: 'label',
    }),
    word(message(isNutrient(of) ? 'working.in' : 'working.inProduct')),
    ...(isNutrient(of) ? [asTyped('grade', input.product.grade, 'label')] : []),
    ...(weighs
      ? [
          operator(by),
          asTyped('density', textWithUnit(input.product.density.text, input.product.density.unit), 'label'),
        ]
      : []),
  ];
}

/**
 * What is needed, short: as typed, with its unit.
 *
 * @example needShown(sheet, answer) // '0.8 lb N / 1000 ft²'
 */
export function needShown({ need }: WorksheetInput, { reading }: Pick<SheetContext, 'reading'>): string {
  if (need.amount.trim() === '') return '';
  const [amount, area] = splitUnit(reading.need?.unit ?? need.unit);
  const { symbol } = NEED_OF[need.nutrient];
  const typed = textWithUnit(weightPart(need.amount), amount);
  return [typed, symbol, '/', RATE_AREAS[area].symbol].filter(Boolean).join(' ');
}

export function needLine(context: SheetContext): Working {
  const { input, reading, numbers, units } = context;
  const { need } = input;
  const [amount, area] = splitUnit(reading.need?.unit ?? need.unit);
  return {
    id: 'need',
    label: message('working.need'),
    parts: [
      asTyped('need.amount', textWithUnit(weightPart(need.amount), amount), 'typed'),
      term('need.nutrient', { number: NEED_OF[need.nutrient].symbol, unit: '' }, { of: need.nutrient === 'product' ? message('working.ofProduct') : null, origin: 'typed' }), // prettier-ignore
      word(message('working.onEach'), '÷'),
      term('need.per', { number: RATE_AREAS[area].symbol, unit: '' }, { origin: 'typed' }),
      ...holding(context, '÷'),
      operator('='),
      worked('rate', numbers.rateSi, units.rate, true),
    ],
  };
}

export function areaLine({ input, reading, numbers, units }: SheetContext, index: number): Working {
  const { size, name } = reading.areas[index]!;
  const { size: text, unit, from } = input.areas[index]!;
  const { areaM2, bandM2, amountSi } = numbers.areas[index]!;
  const isRectangle = size?.shape.kind === 'rectangle';
  const bareUnit = isRectangle ? size.shape.lengthUnit : unit;
  return {
    id: `area.${input.areas[index]!.id}`,
    label: name || message('working.area', { number: index + 1 }),
    parts: [
      asTyped(
        'area.typed',
        withSizeUnit(text.replace(/\s*(?:[x*]|\bby\b)\s*/i, ' × '), bareUnit),
        isRectangle || from ? 'measured' : 'typed',
      ),
      operator('='),
      worked('area.size', areaM2, units.area, false, bandM2),
      operator('×'),
      worked('rate', numbers.rateSi, units.rate),
      operator('='),
      worked('area.amount', amountSi, units.amount, true, bandM2 * (numbers.rateSi ?? 0)),
    ],
  };
}

export function totalLine({ numbers, units }: SheetContext): Working {
  return {
    id: 'total',
    label: message('working.total'),
    parts: [
      worked('rate', numbers.rateSi, units.rate),
      operator('×'),
      worked('total.area', numbers.totalM2, units.area, false, numbers.totalBandM2),
      operator('='),
      worked(
        'total.amount',
        numbers.amountSi,
        units.amount,
        true,
        numbers.totalBandM2 * (numbers.rateSi ?? 0),
      ),
    ],
  };
}

export function packageLine({ input, numbers, units }: SheetContext): Working {
  const { packages } = numbers;
  const exact = packages && {
    number: showNumber(packages.exact, 3),
    unit: '',
  };
  return {
    id: 'packages',
    label: message('working.packages'),
    parts: [
      worked('total.amount', numbers.amountSi, units.amount),
      operator('÷'),
      asTyped('package.size', textWithUnit(input.product.package.size, input.product.package.unit), 'label'),
      operator('='),
      term('package.exact', exact, {
        of: message('working.packageCount', { count: packages?.exact ?? 0 }),
        unrounded: packages && showNumber(packages.exact, 7),
      }),
      word(message('working.soTake'), 'stop'),
      term('package.whole', packages && { number: String(packages.whole), unit: '' }, { strong: true }),
      ...(packages && packages.wholeAtMost > packages.whole
        ? [
            word(message('working.or'), 'stop'),
            term('package.atMost', { number: String(packages.wholeAtMost), unit: '' }),
            word(message('working.toBeSure')),
          ]
        : []),
    ],
  };
}

/** What to buy: packages for all the ground less the stock, rounded up once, and what that costs. */
export function orderLine({ input, numbers }: SheetContext): Working {
  const { order } = numbers;
  const { stock, price } = input.product;
  return {
    id: 'order',
    label: message('working.order'),
    parts: [
      term('order.exact', order && { number: showNumber(order.exact, 3), unit: '' }, {
        of: message('working.packageCount', { count: order?.exact ?? 0 }),
      }),
      operator('−'),
      asTyped('product.stock', stock, 'typed'),
      word(message('working.inStockSoBuy'), 'stop'),
      term('order.buy', order && { number: String(order.buy), unit: '' }, { strong: true }),
      operator('×'),
      asTyped('product.price', price, 'label'),
      operator('='),
      term(
        'order.cost',
        order?.costCents == null ? null : { number: moneyText(order.costCents), unit: '', isMoney: true },
        {
          strong: true,
        },
      ),
    ],
  };
}

/** "0.800 lb / 1000 ft²" -> "0.800 lb N / 1000 ft²" */
const perAreaOf = (symbol: string, line: Term): Term =>
  line.shown && symbol !== ''
    ? { ...line, shown: { ...line.shown, unit: line.shown.unit.replace(' /', ` ${symbol} /`) } }
    : line;

/** What is wanted as it is put down: in the unit of the need. */
function wanted({ input, reading }: SheetContext, role: string, si: number | null): Term {
  const { nutrient: of, unit } = input.need;
  return perAreaOf(NEED_OF[of].symbol, worked(role, si, reading.need?.unit ?? unit, true));
}

export function backLine(context: SheetContext): Working {
  const { input, numbers, units } = context;
  const { grade, name } = input.product;
  return {
    id: 'back',
    label: message('working.back'),
    parts: [
      worked('total.amount', numbers.amountSi, units.amount),
      word(
        message('working.ofOn', { product: grade.trim() || name.trim() || message('working.theProduct') }),
        '÷',
      ),
      worked('total.area', numbers.totalM2, units.area, false, numbers.totalBandM2),
      ...holding(context, '×'),
      operator('='),
      wanted(context, 'back', numbers.backPerM2),
    ],
  };
}

/** The label read backwards: package over the ground it covers, and what is wanted of it in that rate. */
export function labelLine(context: SheetContext): Working {
  const { input, numbers, units } = context;
  const { package: pack, coverage } = input.product;
  return {
    id: 'label',
    label: message('working.label'),
    parts: [
      asTyped('label.package', textWithUnit(pack.size, pack.unit), 'label'),
      word(message('working.coversWord'), '÷'),
      asTyped('coverage.size', textWithUnit(coverage.size, coverage.unit), 'label'),
      operator('='),
      worked('label.rate', numbers.label?.rateSi ?? null, units.rate),
      ...(input.need.nutrient === 'product' ? [] : [...holding(context, '×'), operator('='), wanted(context, 'label.nutrient', numbers.label?.wantedPerM2 ?? null)]), // prettier-ignore
    ],
  };
}

/** The finished spray mix for all the ground, for what is put down with water, and the water in it. */
export function mixLine({ input, reading, numbers, units }: SheetContext): Working {
  const { amount, unit, means } = input.carrier;
  const volume = systemOf(unit) === 'us' ? 'gal' : 'L';
  const { mix } = numbers;
  const isLiquid = reading.product.form === 'liquid';
  const product = worked('mix.product', isLiquid ? numbers.amountSi : null, volume);
  const whole = worked('mix', mix?.mixL ?? null, volume, true);
  const water = worked('mix.water', mix?.waterL ?? null, volume, means === 'water');
  const carried = [
    asTyped('carrier.amount', textWithUnit(amount, unit), 'typed'),
    operator('×'),
    worked('total.area', numbers.totalM2, units.area, false, numbers.totalBandM2),
    operator('='),
  ] as const;
  const apart: Working['parts'] =
    means === 'mix'
      ? [whole, word(message('working.ofMix')), ...(isLiquid && mix ? [word(message('working.thatIs'), 'stop'), whole, operator('−'), product, word(message('working.ofProduct')), operator('='), water, word(message('working.ofWater'))] : [])] // prettier-ignore
      : [water, word(message('working.ofWater')), ...(isLiquid && mix ? [word(message('working.thatIs'), 'stop'), water, operator('+'), product, word(message('working.ofProduct')), operator('='), whole, word(message('working.ofMix'))] : [])]; // prettier-ignore
  return { id: 'mix', label: message('working.mix'), parts: [...carried, ...apart] };
}

/** One time over the ground: the rate that the machine is set for. */
export function onceLine({ numbers, units }: SheetContext): Working {
  const { portions, directions, rateSi, amountSi } = numbers.once;
  const by = (role: 'portions' | 'directions', count: number): Working['parts'] =>
    count === 1 ? [] : [operator('÷'), term(role, { number: String(count), unit: '' }, { of: message(role === 'portions' ? 'working.portions' : 'working.directions'), origin: 'typed' })]; // prettier-ignore
  return {
    id: 'once',
    label: message(directions === 2 ? 'working.onceEachWay' : 'working.once'),
    parts: [
      worked('rate', numbers.rateSi, units.rate),
      ...by('portions', portions),
      ...by('directions', directions),
      operator('='),
      worked('once.rate', rateSi, units.rate, true),
      word(message('working.soInAll'), 'stop'),
      worked('once.amount', amountSi, units.amount),
    ],
  };
}

/** The same question the other way round: how far one package goes at the rate worked out. */
export function coversLine({ input, numbers, units }: SheetContext): Working {
  return {
    id: 'covers',
    label: message('working.covers'),
    parts: [
      asTyped('label.package', textWithUnit(input.product.package.size, input.product.package.unit), 'label'),
      operator('÷'),
      worked('rate', numbers.rateSi, units.rate),
      operator('='),
      worked('covers', numbers.packageCoversM2, units.area, true),
    ],
  };
}
