import * as z from 'zod';
import { rigKind, type RigKind } from '../machines/kinds.ts';
import type { InputOf } from '../fields/schema.ts';
import { METHOD_IDS, METHODS, type MethodId } from './methodTable.ts';

/** What is at hand for a test. */
export const toolsInput = z.object({
  /** One that carries the whole machine, a small one, or none. */
  scale: z.enum(['machine', 'small', 'none']),
  /** A tarp wide enough for all that is thrown. */
  tarp: z.boolean(),
  /** A smooth floor that can be swept. */
  floor: z.boolean(),
  /** A tray that hangs under the hopper. */
  tray: z.boolean(),
  /** Ground that may take the product, a fresh strip for each run. */
  ground: z.boolean(),
  helper: z.boolean(),
  wind: z.boolean(),
});
export type ToolsInput = InputOf<typeof toolsInput>;

export const blankTools = (): ToolsInput => ({
  scale: 'machine',
  tarp: false,
  floor: false,
  tray: false,
  ground: true,
  helper: false,
  wind: false,
});

/** Whether a method can be used here, why or why not, and how well it suits. */
export interface MethodChoice {
  readonly method: MethodId;
  readonly possible: boolean;
  readonly why: string;
  readonly bring: readonly string[];
}

interface Situation {
  readonly kind: RigKind;
  readonly tools: ToolsInput;
  /** A carrier of a pesticide may only go where its label allows. */
  readonly isPesticide: boolean;
}

/** How well a method suits, 0 for not at all, and the reason in a sentence. */
type Verdict = readonly [score: number, why: string];

const no = (why: string): Verdict => [0, why];

const RULES: Readonly<Record<MethodId, (situation: Situation) => Verdict>> = {
  'weigh-back'({ tools }) {
    if (tools.scale !== 'machine') return no('It takes a scale that carries the machine.');
    if (!tools.ground) return no('It takes a fresh strip of ground that may have the product.');
    return [6, 'The machine runs as it does at work, wind or not, and two weighings are all it takes.'];
  },
  catch({ kind, tools, isPesticide }) {
    const drops = rigKind(kind).width === 'hopper';
    if (tools.scale === 'none') return no('It takes a scale for what was caught.');
    if (isPesticide && !tools.tarp) return no('A pesticide carrier is never swept up off pavement. Use ground that may have it.'); // prettier-ignore
    if (!tools.tarp && !tools.floor) return no('It takes a tarp under all that falls, or a smooth floor to sweep.'); // prettier-ignore
    if (tools.wind && !drops) return no('Wind carries the throw off the tarp. Wait for still air, or go indoors.'); // prettier-ignore
    if (!drops && !tools.helper)
      return [3, 'Nothing is spread on ground; a wide throw is easier to catch with a helper.'];
    return [drops ? 7 : 4, 'Nothing is spread on ground, and what was caught goes back into the hopper.'];
  },
  tray({ kind, tools }) {
    if (rigKind(kind).width !== 'hopper') return no('Only a drop spreader has a hopper that a tray can hang under.'); // prettier-ignore
    if (!tools.tray) return no('It takes a tray that hangs under the hopper.');
    if (tools.scale === 'none') return no('It takes a scale for what the tray caught.');
    return [8, 'The tray catches all of it, anywhere, in any wind.'];
  },
  'timed-catch'({ kind, tools }) {
    const standing = rigKind(kind).runsStanding;
    if (standing === 'no') return no('Wheels drive its metering: standing still, nothing runs.');
    if (tools.scale === 'none') return no('It takes a scale for what the bucket caught.');
    if (standing === 'unstirred')
      return [2, 'It runs standing still, but unstirred: good for a first look, then run a strip.'];
    return [rigKind(kind).pace[1] > 2 ? 7 : 5, 'Its metering runs standing still: no ground is needed, and a bucket catches all of it.']; // prettier-ignore
  },
  'run-out'({ tools }) {
    if (!tools.ground) return no('It takes ground of known size that may have the product.');
    return [tools.scale === 'none' ? 3 : 1, 'No scale on the spot: a load of known weight on ground of known size. Coarse, and good as a check.']; // prettier-ignore
  },
  'fill-time'({ kind }) {
    if (rigKind(kind).width !== 'row spacing') return no('It is for machines that feed rows through an outlet.'); // prettier-ignore
    return [3, 'No scale on the spot: a container of known content fills while a watch runs.'];
  },
  outlets({ kind, tools }) {
    if (rigKind(kind).width !== 'row spacing') return no('It is for machines that feed rows through outlets.'); // prettier-ignore
    if (tools.scale === 'none') return no('It takes a scale for what the outlets gave.');
    return [8, 'It weighs each outlet by itself, and so shows when they differ.'];
  },
};

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
    verdict: isDry ? RULES[method](situation) : no('It sprays: its nozzles are caught, not its granules.'),
  }))
    .toSorted((a, b) => b.verdict[0] - a.verdict[0])
    .map(({ method, verdict: [score, why] }) => ({ method, possible: score > 0, why, bring: METHODS[method].needs })); // prettier-ignore
}
