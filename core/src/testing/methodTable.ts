import { InputError } from '../errors/InputError.ts';
import type { Kind } from '../quantities/kinds.ts';
import { caught } from './methods/caught.ts';
import { runOut } from './methods/runOut.ts';
import { timedCatch } from './methods/timedCatch.ts';
import { weighBack } from './methods/weighBack.ts';
import type { Reading } from './uncertainty.ts';

/** One thing that a method asks for. */
export interface MethodField {
  readonly id: string;
  readonly label: string;
  readonly kind: Extract<Kind, 'mass' | 'length' | 'time' | 'area'> | 'count';
  readonly placeholder: string;
  /** Taken when nothing is typed. */
  readonly otherwise?: number;
}

/** What a run came to. */
export interface Worked {
  readonly rateKgPerM2: number;
  /** Relative standard uncertainty from the readings. */
  readonly uReadings: number;
  readonly netKg: number;
}

type Readings = Readonly<Record<string, Reading>>;

interface Method {
  readonly words: string;
  /** What to do, one sentence. */
  readonly how: string;
  readonly needs: readonly string[];
  readonly fields: readonly MethodField[];
  /** @param width pass spacing, hopper width or row spacing */
  work(readings: Readings, width: Reading): Worked;
}

const mass = (id: string, label: string, placeholder: string): MethodField => ({ id, label, kind: 'mass', placeholder }); // prettier-ignore
const LENGTH: MethodField = {
  id: 'length',
  label: 'Length of the strip',
  kind: 'length',
  placeholder: '60 ft',
};
const PASSES: MethodField = {
  id: 'passes',
  label: 'Times over it',
  kind: 'count',
  placeholder: '1',
  otherwise: 1,
};

/** The dry tests that are worked out here. */
export const METHODS = {
  'weigh-back': {
    words: 'weigh back over a strip',
    how: 'Weigh the filled machine, spread a measured strip at working pace, weigh it again. Start back, open at the line, shut at the line, walk on.',
    needs: ['a scale that carries the machine', 'a tape', 'ground that may take the product'],
    fields: [mass('in', 'Before the strip', '48.60 lb'), mass('left', 'After the strip', '44.95 lb'), LENGTH, PASSES],
    work: ({ in: inKg, left, length, passes }, widthM) =>
      weighBack({ inKg: inKg!, leftKg: left!, lengthM: length!, widthM, runs: passes!.si }),
  },
  catch: {
    words: 'catch on a tarp, in a tray, or swept up',
    how: 'Catch all that falls over a measured length, indoors or in no wind, and weigh the container empty and full.',
    needs: ['a small scale', 'a tarp, a tray under the hopper, or a smooth floor', 'a tape'],
    fields: [mass('gross', 'Container and product', '1.92 kg'), mass('tare', 'Empty container', '0.74 kg'), LENGTH, PASSES],
    work: ({ gross, tare, length, passes }, widthM) =>
      caught({ grossKg: gross!, tareKg: tare!, lengthM: length!, widthM, passes: passes!.si }),
  },
  'timed-catch': {
    words: 'timed catch standing still',
    how: 'Impeller off, a bucket under the outlet: catch for a measured time. Only where product runs standing still.',
    needs: ['a small scale', 'a bucket', 'a watch', 'drives locked out before hands go near a meter'],
    fields: [
      mass('gross', 'Bucket and product', '3.10 kg'),
      mass('tare', 'Empty bucket', '0.64 kg'),
      { id: 'catchTime', label: 'Time of the catch', kind: 'time', placeholder: '20 s' },
      { id: 'course', label: 'Course at working pace', kind: 'length', placeholder: '40 m' },
      { id: 'courseTime', label: 'Time over the course', kind: 'time', placeholder: '27.5 s' },
    ],
    work: ({ gross, tare, catchTime, course, courseTime }, spacingM) =>
      timedCatch({ catches: [{ grossKg: gross!, tareKg: tare! }], catchS: catchTime!, courseM: course!, courseS: courseTime!, spacingM }),
  },
  'run-out': {
    words: 'a weighed load on known ground',
    how: 'Load a weighed amount, spread it on ground of known size, weigh what is left.',
    needs: ['a scale', 'ground of known size'],
    fields: [
      mass('load', 'Load', '9.0 lb'),
      mass('left', 'What is left', '1.25 lb'),
      { id: 'area', label: 'Ground it went on', kind: 'area', placeholder: '900 ft2' },
    ],
    work: ({ load, left, area }) => runOut({ loadKg: load!, leftKg: left!, areaM2: area! }),
  },
} as const satisfies Record<string, Method>; // prettier-ignore

export type MethodId = keyof typeof METHODS;
export const METHOD_IDS = Object.keys(METHODS) as MethodId[];

/** A method of the table, whichever it is. */
export const methodOf = (id: MethodId): Method => METHODS[id];

/** More product than this on a metre of ground is a slip of a unit. */
const MOST_KG_PER_M2 = 5;

/**
 * Works a run out and refuses what cannot be.
 *
 * @throws InputError test.too-much for a rate that no spreader puts down
 */
export function workRun(id: MethodId, readings: Readings, width: Reading, field: string): Worked {
  const worked = methodOf(id).work(readings, width);
  if (worked.rateKgPerM2 <= MOST_KG_PER_M2) return worked;
  throw new InputError('test.too-much', { field });
}
