import { message, type Message } from '../messages/message.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';
import { METHOD_IDS, METHODS, methodOf, type MethodId } from './methodTable.ts';
import { no, type Situation, type Tool, type Verdict } from './methods/method.ts';
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

/** What keeps a method from a machine, whatever is at hand: it is for what spreads, or for what sprays. */
function unfit(method: MethodId, { kind, sprays }: Situation): Verdict | null {
  const isWet = methodOf(method).isWet === true;
  const { puts } = rigKind(kind);
  if (isWet !== sprays) return no(message(sprays ? 'methods.why.sprays' : 'methods.why.spreads'));
  return puts === 'both' || (puts === 'wet') === isWet ? null : no(message(isWet ? 'methods.why.spreads' : 'methods.why.sprays')); // prettier-ignore
}

/**
 * The methods that a machine can be tested by, whatever is at hand.
 *
 * @param sprays of a machine that does both: what is tested is sprayed
 * @example methodsFor('push-drop').includes('timed-catch') // false: wheels drive its metering
 */
export const methodsFor = (kind: RigKind, sprays = rigKind(kind).puts === 'wet'): MethodId[] => {
  const possible = new Set(chooseMethod({ kind, sprays, tools: ALL_TOOLS, isPesticide: false }).flatMap((choice) => (choice.possible ? [choice.method] : []))); // prettier-ignore
  return METHOD_IDS.filter((method) => possible.has(method));
};

/**
 * Which methods can be used with this machine, here, with what is at hand; the one that suits best first.
 *
 * @param situation kind of machine, tools, and whether the product carries a pesticide
 * @example chooseMethod({ kind: 'push-drop', sprays: false, tools: { ...blankTools(), tray: true }, isPesticide: false })[0].method // 'tray'
 */
export function chooseMethod(situation: Situation): MethodChoice[] {
  return METHOD_IDS.map((method) => ({
    method,
    verdict: unfit(method, situation) ?? METHODS[method].suits(situation),
  }))
    .toSorted((a, b) => b.verdict[0] - a.verdict[0])
    .map(({ method, verdict: [score, why] }) => ({ method, possible: score > 0, why, bring: METHODS[method].needs })); // prettier-ignore
}
