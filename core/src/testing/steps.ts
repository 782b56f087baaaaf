import { message, type Message } from '../messages/message.ts';
import { cautionsFor, type Command } from './cautions.ts';
import type { MethodField, Moment } from './methods/method.ts';
import { methodOf, type MethodId } from './methodTable.ts';
import type { RigKind } from '../machines/kinds.ts';
import type { ProductKind } from '../products/product.ts';

/** One screen of a guided run. */
export interface Step {
  readonly id: 'checks' | 'set' | 'before' | 'course' | 'walk' | 'after';
  readonly heading: Message;
  /** What to do. */
  readonly how: Message;
  readonly fields: readonly MethodField[];
  readonly cautions: readonly Message[];
}

const ACT_OF: Readonly<Record<Step['id'], Command | null>> = {
  checks: null,
  set: 'meter',
  before: 'fill',
  course: null,
  walk: 'walk',
  after: 'sweep',
};

/** What each moment is called, unless its method calls it otherwise. */
const CALLED: Readonly<Record<Moment, Message>> = {
  before: message('methods.moment.empty'),
  course: message('methods.moment.course'),
  walk: message('methods.moment.walk'),
  after: message('methods.moment.weighOut'),
};

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
  const { fields: fieldsOf, planned, steps, isWet = false } = methodOf(method);
  const fields = fieldsOf(outlets);
  const isApart = outlets > 1 && fields.some(({ id }) => id === 'gross.2');
  const at = (moment: Moment) => fields.filter((field) => field.at === moment);
  const step = (id: Step['id'], heading: Message, how: Message, asked: readonly MethodField[] = []): Step => {
    // Where nothing is spread, hands are at the meter instead.
    const act = id === 'walk' && planned === 'time' ? 'meter' : ACT_OF[id];
    return {
      id,
      heading,
      how,
      fields: asked,
      cautions: act ? cautionsFor(act, { rig, product, sprays: isWet }) : [],
    };
  };
  const called = { ...CALLED, ...steps.called };
  return [
    step('checks', message('methods.checks'), message('methods.checksHow')),
    step('set', message('methods.set'), message(isWet ? 'methods.setWet' : 'methods.setHow')),
    step('before', called.before, steps.before, at('before')),
    step('course', called.course, message(isWet ? 'methods.courseWet' : 'methods.courseHow'), at('course')),
    step('walk', called.walk, steps.walk, at('walk')),
    step(
      'after',
      called.after,
      isApart ? message('methods.allInOne', { how: steps.after }) : steps.after,
      at('after'),
    ),
  ];
}
