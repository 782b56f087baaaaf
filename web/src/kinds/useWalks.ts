import { walks } from '@steady-scatter/contract';
import { walkInput, type WalkInput } from '@steady-scatter/core/runSheet';
import { documentKind, type DocumentKind } from '../documents/documentKind.ts';
import { useWhere, type Doc } from '../documents/docs.ts';
import { browser, heldHere, holdHere, letGo } from '../ui/browserStores.ts';
import * as z from 'zod';

/** Work under way: looked at again every few seconds, since another device may count. */
export const WALKS: DocumentKind<WalkInput> = documentKind(walks, { isLive: () => true });

/** What is under way on a job, as the server has it; not asked for without one. */
export const useWalksOf = (job: string | null): readonly Doc<WalkInput>[] =>
  useWhere(WALKS, job === null ? null : `job:${job}`).data ?? [];

const DEVICE = 'steady-scatter.device';

/** What this device calls itself, so that another one knows who counts. */
export function thisDevice(): string {
  const known = browser.getItem(DEVICE);
  if (known) return known;
  const made = Math.random().toString(36).slice(2, 8);
  browser.setItem(DEVICE, made);
  return made;
}

/** Work as this device holds it: its id is that of the run that is recorded. */
const held = z.object({ id: z.uuid(), version: z.int(), input: walkInput });
export interface HeldWalk {
  readonly id: string;
  readonly version: number;
  readonly input: WalkInput;
}

const keyOf = (job: string): string => `steady-scatter.walk.${job}`;

/** What this device holds of a job's work; null: nothing. */
export const heldWalk = (job: string): HeldWalk | null => heldHere<HeldWalk>(keyOf(job), held) ?? null;

/** Has this device hold it; false: it is full. */
export const holdWalk = (walk: HeldWalk): boolean => holdHere(keyOf(walk.input.job), walk);

/** It is recorded: the device lets go of it. */
export const letWalkGo = (job: string): void => letGo(keyOf(job));
