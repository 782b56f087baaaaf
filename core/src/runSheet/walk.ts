import * as z from 'zod';
import { text, type InputOf } from '../fields/schema.ts';
import { message, type Message } from '../messages/message.ts';
import { PRODUCT_KINDS, type ProductKind } from '../products/product.ts';
import type { System } from '../quantities/units.ts';
import { blankWeather, weatherInput } from '../season/applicationInput.ts';
import { beginRun, runLogInput, type RunLog } from './runLog.ts';

/** Work under way on a job: what was found before it began, and the passes of each area. One device counts, others look on. */
export const walkInput = z.object({
  job: z.uuid(),
  /** The device that counts, by a name that it gave itself. */
  holder: text,
  by: text,
  weather: weatherInput,
  /** Cautions that were ticked, by their ids. */
  ticked: z.array(text).max(30),
  /** Why it began in weather that a limit forbids; empty: it did not, or it has not begun. */
  why: text,
  isBegun: z.boolean(),
  note: text,
  photos: z.array(z.uuid()).max(20),
  logs: z.array(runLogInput).max(400),
});
export type WalkInput = InputOf<typeof walkInput>;

/**
 * Work that nobody has begun yet.
 *
 * @example blankWalk({ job, holder: 'a' }, 'us').isBegun // false
 */
export const blankWalk = (of: Pick<WalkInput, 'job' | 'holder'>, system: System): WalkInput => ({
  ...of,
  by: '',
  weather: blankWeather(system),
  ticked: [],
  why: '',
  isBegun: false,
  note: '',
  photos: [],
  logs: [],
});

/**
 * The passes of an area; none walked yet where nothing is known.
 *
 * @example logOf({ logs: [] }, 'a').area // 'a'
 */
export const logOf = ({ logs }: Pick<WalkInput, 'logs'>, area: string): RunLog =>
  logs.find((log) => log.area === area) ?? beginRun(area, '');

/**
 * The same work with other passes of an area.
 *
 * @example withLog(blankWalk({ job, holder: 'a' }, 'us'), beginRun('a', '')).logs.length // 1
 */
export const withLog = (walk: WalkInput, log: RunLog): WalkInput => ({
  ...walk,
  logs: [...walk.logs.filter(({ area }) => area !== log.area), log],
});

/** When a caution belongs: before filling, before opening the gate, and once it is done. */
export const RUN_ACTS = ['fill', 'open', 'after'] as const;
export type RunAct = (typeof RUN_ACTS)[number];

interface Situation {
  readonly product: ProductKind;
  readonly isSprayed: boolean;
  /** Carried on a back. */
  readonly isCarried: boolean;
  /** There is water to give after it. */
  readonly isWatered: boolean;
}

/**
 * What to mind at an act of the work, each; they defer to the label, local codes and licensed practice.
 *
 * @example runCautions('open', { product: 'dry-deicer', isSprayed: false, isCarried: false, isWatered: false })[0].id // 'cautions.keepOffWinter'
 */
export function runCautions(act: RunAct, { product, isSprayed, isCarried, isWatered }: Situation): Message[] {
  const isPesticide = product === 'granular-carrier';
  const isDeicer = PRODUCT_KINDS[product].puts === 'de-icer';
  const lines: Readonly<Record<RunAct, readonly (Message | false)[]>> = {
    fill: [
      message(isSprayed ? 'cautions.labelWet' : 'cautions.label'),
      !isSprayed && message('cautions.lift'),
      isCarried && message('cautions.carried'),
      isPesticide && message('cautions.pesticideLabel'),
      !isSprayed && message('cautions.gateShut'),
    ],
    open: [
      isSprayed
        ? message('cautions.drift')
        : message(isDeicer ? 'cautions.keepOffWinter' : 'cautions.keepOff'),
      message('cautions.openMoving'),
      isPesticide && message('cautions.keepChildrenOff'),
    ],
    after: [
      !isSprayed && message('cautions.sweepBack'),
      isWatered && message('cautions.waterIn'),
      isPesticide && message('cautions.keepChildrenOff'),
    ],
  };
  return lines[act].filter((line) => line !== false);
}
