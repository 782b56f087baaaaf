import { message, type Message } from '../messages/message.ts';
import { rigKind } from '../machines/kinds.ts';
import type { RigInput } from '../machines/rigInput.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import type { CalibrationResult } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { lookUpMark } from './lookup.ts';
import { rateIn } from './rate.ts';
import { paceText, showRate } from './showBench.ts';

/** What hangs on the machine: the printed chart. Every cell is text, ready to be drawn. */
export interface Card {
  readonly machine: string;
  /** The product, its grain and its lot. */
  readonly product: readonly (Message | string)[];
  /** The accepted mark, and what it puts down. */
  readonly setting: string;
  readonly control: string;
  readonly rate: string;
  /** About 95 %, in the unit of the rate; empty: the mark itself was not tested. */
  readonly band: string;
  /** Marks and rates around it, over what was tested. */
  readonly lines: readonly { readonly setting: string; readonly rate: string; readonly isKept: boolean }[];
  readonly rateUnit: string;
  readonly pace: Message | string;
  readonly spacing: Message | string;
  /** What the second control stands at; empty: there is none. */
  readonly second: Message | string;
  readonly state: string;
  readonly signed: string;
  /** What it is set for, where it is the card of a job; empty: the chart's own. */
  readonly purpose: string;
}

/** A job that a card is made for: its rate one time over the ground, and that in words. */
export interface CardJob {
  /** On the ground, kg/m2. */
  readonly kgPerM2: number;
  readonly purpose: string;
}

const MAX_LINES = 7;

const named = (what: 'grain' | 'lot', text: string): Message | string =>
  text.trim() === '' || (/[a-z]/i.test(text) && what === 'grain') ? text.trim() : message(what === 'grain' ? 'card.grain' : 'card.lot', { text: text.trim() }); // prettier-ignore

const withUnit = (text: string, unit: UnitId): string => (isBareNumber(text) ? `${text.trim()} ${UNITS[unit].symbol}` : text.trim()); // prettier-ignore

/** Marks to print: all of them, or those nearest to the kept one with the ends. */
function linesToPrint(chart: CalibrationResult['chart'], kept: number): CalibrationResult['chart'] {
  if (chart.length <= MAX_LINES) return chart;
  const from = Math.min(Math.max(0, kept - Math.floor(MAX_LINES / 2)), chart.length - MAX_LINES);
  return chart.slice(from, from + MAX_LINES);
}

/**
 * The card of a signed-off calibration.
 *
 * @param day the day of signing, as it is to be read
 * @param job set for the rate of a job instead of the accepted one
 * @returns null while nothing is signed off
 * @example cardOf(calibration, redSpreader, reading, '10 Apr 2026') // null: nothing is signed off
 */
export function cardOf(
  input: CalibrationInput,
  rig: RigInput,
  reading: CalibrationResult,
  day: string,
  job: CardJob | null = null,
): Card | null {
  const { signOff, target } = input;
  if (!signOff) return null;
  const { chart } = reading;
  // What is sprayed is the mix: the rate of a product in it is no setting of the sprayer.
  const wanted = job && !reading.spray && rateIn(reading.dimension, job.kgPerM2, reading.widthM);
  const found = !wanted ? null : lookUpMark(chart, wanted.si, input.isCeiling);
  const setting = found?.line.mark.label ?? signOff.setting;
  const kept = chart.findIndex(({ mark }) => mark.label === setting);
  const rate = (kgPerM2: number) => showRate(kgPerM2, 0, target.unit);
  const tested = reading.means.find((mean) => mean.setting === chart[kept]?.mark.opening);
  const sprayed =
    reading.spray?.means.find(({ mark }) => mark.label === setting) ?? reading.spray?.now ?? null;
  const held = sprayed
    ? showRate(sprayed.mean.mean, sprayed.mean.uRelative, target.unit)
    : kept < 0 ? null : showRate(chart[kept]!.rateSi, tested?.uRelative ?? 0, target.unit); // prettier-ignore
  const { pace, width } = signOff;
  const isTimed = pace.course.trim() !== '' && pace.time.trim() !== '';
  return {
    machine: rig.name,
    product: [input.product, named('grain', signOff.grain), named('lot', signOff.lot)].filter((part) => part !== ''), // prettier-ignore
    setting,
    control: reading.spray && kept < 0 ? '' : rig.control.name,
    rate: held?.number ?? '',
    band: held?.band ?? '',
    lines: (reading.spray && kept < 0 ? [] : linesToPrint(chart, Math.max(0, kept))).map(
      ({ mark, rateSi }) => ({
        setting: mark.label,
        rate: rate(rateSi).number,
        isKept: mark.label === setting,
      }),
    ),
    rateUnit: UNITS[target.unit].symbol,
    pace: isTimed ? message('card.pace', { course: withUnit(pace.course, pace.unit), time: withUnit(pace.time, 's') }) : paceText(reading.chartPaceMPerS, pace.unit), // prettier-ignore
    spacing:
      width.text.trim() === ''
        ? ''
        : message('card.spacing', {
            width: withUnit(width.text, width.unit),
            over: /\//.test(width.text) ? 'row' : rigKind(rig.kind).width,
          }),
    second:
      signOff.second === '' ? '' : message('card.second', { control: rig.second.name, mark: signOff.second }),
    state: signOff.state,
    purpose: job?.purpose ?? '',
    signed: [day, signOff.by].filter((part) => part.trim() !== '').join(', '),
  };
}
