import type { Speak } from '../messages/message.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readNeed, splitUnit } from '../need/needField.ts';
import { fromSi } from '../quantities/convert.ts';
import { inForm, otherForm, type Nutrient } from '../need/nutrients.ts';
import { delivered, type NeedOf } from '../products/wanted.ts';
import type { Delivered } from '../need/productRate.ts';
import { showExact, showQuantity, type DisplayValue } from '../quantities/show.ts';
import { workingText, type Working } from '../working/working.ts';
import { workNumbers, type WorksheetNumbers } from './numbers.ts';
import { evaluateWorksheet, type WorksheetResult } from './readings.ts';
import type { ShownIn, WorksheetInput } from './worksheetInput.ts';
import { chooseUnits, type SheetUnits } from './units.ts';
import { compareRates, type Comparison } from './comparison.ts';
import {
  areaLine,
  backLine,
  coversLine,
  labelLine,
  mixLine,
  needLine,
  onceLine,
  orderLine,
  packageLine,
  totalLine,
  type SheetContext,
} from './workings.ts';

/** One nutrient that the rate delivers, ready to show per area of the need's unit. */
export interface DeliveredLine {
  readonly nutrient: Nutrient;
  readonly shown: DisplayValue;
  readonly other: { readonly nutrient: Nutrient; readonly shown: DisplayValue } | null;
  /** asked: what the need is about; along: comes with it; none: the label gives 0. */
  readonly part: 'asked' | 'along' | 'none';
}

/** A worksheet's answer: numbers (SI), the units they are shown in, each line of working, errors with paths. */
export interface WorksheetAnswer {
  readonly reading: WorksheetResult;
  readonly numbers: WorksheetNumbers;
  readonly units: SheetUnits;
  readonly lines: {
    readonly need: Working;
    readonly areas: readonly Working[];
    readonly total: Working;
    readonly packages: Working;
    readonly back: Working;
    readonly label: Working;
    readonly covers: Working;
    readonly mix: Working;
    readonly order: Working;
    readonly once: Working;
  };
  /** Everything that the label's own coverage puts down; empty without a coverage. */
  readonly labelDelivers: readonly DeliveredLine[];
  /** The label's rate beside the rate worked out; null while either is missing. */
  readonly labelAgainstNeed: Comparison | null;
  readonly delivered: readonly DeliveredLine[];
  readonly left: DisplayValue | null;
  readonly errors: readonly InputError[];
}

function deliveredLine(
  { nutrient, kgPerM2, other }: Delivered,
  asked: NeedOf,
  unit: SheetUnits['delivered'],
): DeliveredLine {
  const isAsked = nutrient === asked || otherForm(nutrient) === asked;
  return {
    nutrient,
    shown: showQuantity(kgPerM2, unit),
    other: other && {
      nutrient: other.nutrient,
      shown: showQuantity(inForm(kgPerM2, nutrient, other.nutrient), unit),
    },
    part: isAsked ? 'asked' : kgPerM2 > 0 ? 'along' : 'none',
  };
}

/** More product than there is mix: nothing is left for the water. */
function mixErrors({ mix, rateSi }: WorksheetNumbers, { product }: WorksheetResult): InputError[] {
  if (!mix || rateSi === null || product.form !== 'liquid' || rateSi <= mix.perM2) return [];
  return [new InputError('mix.product-larger', { field: 'carrier.amount' })];
}

/**
 * The whole answer of a worksheet, at every keystroke: what was typed in, numbers and lines of working out.
 *
 * @param typed the worksheet as typed
 * @param preferred units that the person prefers; what is set on the sheet goes before, null entries follow what was typed
 * @returns always an answer; what cannot be known yet is null, what is wrong is in `errors` with its field's path
 * @exampleworkingText(answerWorksheet(sheet, AS_TYPED).lines.need) // '0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²'
 */
export function answerWorksheet(input: WorksheetInput, preferred: ShownIn): WorksheetAnswer {
  const reading = evaluateWorksheet(input);
  const { numbers, error } = workNumbers(reading, input.need.nutrient, input.carrier.means);
  const units = chooseUnits(input, reading, preferred, numbers.amountSi);
  const context: SheetContext = { input, reading, numbers, units };
  return {
    reading,
    numbers,
    units,
    lines: {
      need: needLine(context),
      areas: input.areas.map((_, index) => areaLine(context, index)),
      total: totalLine(context),
      packages: packageLine(context),
      back: backLine(context),
      label: labelLine(context),
      covers: coversLine(context),
      mix: mixLine(context),
      order: orderLine(context),
      once: onceLine(context),
    },
    labelDelivers: (numbers.label?.delivered ?? []).map((line) =>
      deliveredLine(line, input.need.nutrient, units.delivered),
    ),
    labelAgainstNeed: numbers.label?.timesNeed ? compareRates(numbers.label.timesNeed) : null,
    delivered: numbers.delivered.map((line) => deliveredLine(line, input.need.nutrient, units.delivered)),
    left: numbers.packages && showQuantity(numbers.packages.leftSi, units.amount),
    errors: [...reading.errors, ...(error ? [error] : []), ...mixErrors(numbers, reading)],
  };
}

/** A need as text for its field, in the unit that it counts in now. */
function needText({ need }: WorksheetInput, perM2: number, figures?: number): string {
  const unit = toResult(() => readNeed(need.amount, need.unit, 'need.amount')).value?.unit ?? need.unit;
  const number = fromSi(perM2, unit);
  // Figures are cut, not rounded: the text must not ask for more than was meant.
  const step = figures === undefined ? null : 10 ** (Math.floor(Math.log10(number)) + 1 - figures);
  const cut = step === null ? number : Math.floor(number / step + 1e-9) * step;
  return `${showExact(cut)} ${splitUnit(unit)[0]}`;
}

/**
 * The need that the label's own rate meets, as text for the field of the need: "use the label's rate".
 *
 * @returns text in the unit of the need; null while the label's coverage or the grade is missing
 * @example needFromLabel(answer, sheet) // null: this label covers nothing
 */
export const needFromLabel = ({ numbers }: WorksheetAnswer, input: WorksheetInput): string | null =>
  numbers.label?.wantedPerM2 ? needText(input, numbers.label.wantedPerM2) : null;

/**
 * The need that a product rate meets, as text for its field: for the lowest and the highest rate of a label.
 *
 * @param rateSi kg/m2, or L/m2 for a liquid, above 0
 * @returns null where the label does not say enough
 * @example needAtRate(answer, sheet, 0.0146) // '0.7176758 lb' for 3 lb/1000 ft2 of 24-0-8
 */
export function needAtRate(
  { reading }: WorksheetAnswer,
  input: WorksheetInput,
  rateSi: number,
): string | null {
  const perM2 = delivered(reading.product, input.need.nutrient, rateSi);
  return perM2 ? needText(input, perM2) : null;
}

/**
 * The need times a share, cut to four figures, as text for its field: the most that a rule allows.
 *
 * @param share above 0 and at most 1
 * @returns null while there is no need
 * @example lessNeed(answer, sheet, 0.375) // '0.3 lb' where 0.8 lb was typed
 */
export const lessNeed = (
  { reading }: WorksheetAnswer,
  input: WorksheetInput,
  share: number,
): string | null => (reading.need ? needText(input, reading.need.si * share, 4) : null);

/**
 * The working of a worksheet as text to copy, one line each, incomplete lines left out.
 *
 * @example worksheetText(answer, speak).split('\n')[0] // 'What the ground needs: 0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²'
 */
export function worksheetText({ lines, numbers }: WorksheetAnswer, speak: Speak): string {
  const whole = ({ parts }: Working) => parts.every((part) => part.type !== 'term' || part.shown !== null);
  return [
    lines.need,
    ...lines.areas,
    lines.total,
    ...(numbers.once.times > 1 ? [lines.once] : []),
    lines.packages,
    lines.covers,
    lines.mix,
    lines.back,
    lines.label,
  ]
    .filter(whole)
    .map((line) => `${speak(line.label)}: ${workingText(line, speak)}`)
    .join('\n');
}
