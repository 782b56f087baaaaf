import { message, type Message } from '../messages/message.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';
import { METHOD_IDS, METHODS, type MethodId } from './methodTable.ts';
import { no, type Situation, type Tool } from './methods/method.ts';
import type { ToolsInput } from './tools.ts';

/** Whether a method can be used here, why or why not, and how well it suits. */
export interface MethodChoice {
  readonly method: MethodId;
  readonly possible: boolean;
  readonly why: Message;
  readonly bring: readonly Tool[];
}

const ALL_TOOLS: ToolsInput = {
  scale: 'machine',
  tarp: true,
  floor: true,
  tray: true,
  ground: true,
  helper: true,
  wind: false,
};

/**
 * The methods that a machine can be tested by, whatever is at hand.
 *
 * @example methodsFor('push-drop').includes('timed-catch') // false: wheels drive its metering
 */
export const methodsFor = (kind: RigKind): MethodId[] => {
  const possible = new Set(chooseMethod({ kind, tools: ALL_TOOLS, isPesticide: false }).flatMap((choice) => (choice.possible ? [choice.method] : []))); // prettier-ignore
  return METHOD_IDS.filter((method) => possible.has(method));
};

/**
 * Which methods can be used with this machine, here, with what is at hand; the one that suits best first.
 *
 * @param situation kind of machine, tools, and whether the product carries a pesticide
 * @example chooseMethod({ kind: 'push-drop', tools: { ...blankTools(), tray: true }, isPesticide: false })[0].method // 'tray'
 */
export function chooseMethod(situation: Situation): MethodChoice[] {
  const isDry = rigKind(situation.kind).puts !== 'wet';
  return METHOD_IDS.map((method) => ({
    method,
    verdict: isDry ? METHODS[method].suits(situation) : no(message('methods.why.sprays')),
  }))
    .toSorted((a, b) => b.verdict[0] - a.verdict[0])
    .map(({ method, verdict: [score, why] }) => ({ method, possible: score > 0, why, bring: METHODS[method].needs })); // prettier-ignore
}
