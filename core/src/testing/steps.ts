import { cautionsFor, type Command } from './cautions.ts';
import { methodOf, type MethodField, type MethodId } from './methodTable.ts';
import type { RigKind } from '../machines/kinds.ts';
import type { ProductKind } from '../products/product.ts';

/** One screen of a guided run. */
export interface Step {
  readonly id: 'checks' | 'set' | 'before' | 'course' | 'walk' | 'after';
  readonly heading: string;
  /** What to do, one or two sentences. */
  readonly how: string;
  readonly fields: readonly MethodField[];
  readonly cautions: readonly string[];
}

const COME_TO_IT = 'Come to the mark from the closed side: gates have slack.';

const BEFORE: Readonly<Record<MethodId, string>> = {
  'weigh-back': 'Gate shut. Weigh the machine as it stands, product in it.',
  catch: 'Weigh the empty container. It is subtracted for you.',
  tray: 'Weigh the empty tray, then hang it.',
  'timed-catch': 'Weigh each bucket empty. It is subtracted for you.',
  'run-out': 'Weigh what you fill in, or take the weight on the bag.',
  'fill-time': 'Weigh once what the container holds, level full.',
  outlets: 'Weigh each bag empty, then hang them.',
};

const WALK: Readonly<Record<MethodId, string>> = {
  'weigh-back': 'Start back, open at the line, hold your pace, shut at the line, walk on.',
  catch: 'Start back, open at the line, hold your pace, shut at the line, walk on.',
  tray: 'Start back, open at the line, hold your pace, shut at the line, walk on.',
  'timed-catch': 'Impeller off. Open over the bucket and time it; shut at the end.',
  'run-out': 'Spread it as at work. Where it runs out early, mark the place.',
  'fill-time': 'Hold the container under the outlet, open, and time until it is level full.',
  outlets: 'Drive the measured length at working pace, open at the line, shut at the line.',
};

const AFTER: Readonly<Record<MethodId, string>> = {
  'weigh-back': 'Weigh the machine again, with what is left in it.',
  catch: 'Sweep up all of it and weigh container and product.',
  tray: 'Weigh tray and product. Pour it back.',
  'timed-catch': 'Weigh each bucket with what it caught.',
  'run-out': 'Weigh what is left in the hopper.',
  'fill-time': 'That is all: no scale is needed.',
  outlets: 'Weigh each bag with what it caught.',
};

const ACT_OF: Readonly<Record<Step['id'], Command | null>> = {
  checks: null,
  set: 'meter',
  before: 'fill',
  course: null,
  walk: 'walk',
  after: 'sweep',
};

const ALL_IN_ONE = ' Caught all in one? Type it under outlet 1 alone.';

/** Nothing is spread: hands are at the meter instead. */
const STANDS = new Set<MethodId>(['timed-catch', 'fill-time']);

/**
 * The screens of a guided run, in their order.
 *
 * @param outlets how many are caught
 * @example stepsOf('weigh-back', 1, 'push-rotary', null).map(({ id }) => id) // ['checks', 'set', 'before', 'course', 'walk', 'after']
 */
export function stepsOf(
  method: MethodId,
  outlets: number,
  rig: RigKind,
  product: ProductKind | null,
): Step[] {
  const fields = methodOf(method).fields(outlets);
  const isApart = outlets > 1 && fields.some(({ id }) => id === 'gross.2');
  const at = (moment: MethodField['at']) => fields.filter((field) => field.at === moment);
  const step = (id: Step['id'], heading: string, how: string, asked: readonly MethodField[] = []): Step => {
    const act = id === 'walk' && STANDS.has(method) ? 'meter' : ACT_OF[id];
    return { id, heading, how, fields: asked, cautions: act ? cautionsFor(act, { rig, product }) : [] };
  };
  return [
    step('checks', 'Look it over', 'Tick what is right. What is not right is mended first.'),
    step('set', 'Set the machine', COME_TO_IT),
    step('before', method === 'weigh-back' || method === 'run-out' ? 'Weigh in' : 'Weigh it empty', BEFORE[method], at('before')), // prettier-ignore
    step('course', method === 'run-out' ? 'The ground' : 'The course', 'Measure it with the tape, or keep the last one.', at('course')), // prettier-ignore
    step('walk', method === 'timed-catch' || method === 'fill-time' ? 'Catch' : 'Walk it', WALK[method], at('walk')), // prettier-ignore
    step('after', method === 'fill-time' ? 'Done' : 'Weigh out', `${AFTER[method]}${isApart ? ALL_IN_ONE : ''}`, at('after')), // prettier-ignore
  ];
}
