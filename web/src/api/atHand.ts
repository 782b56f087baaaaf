import type { DocumentVerb, EventKind, EventVerb, Kind, StoredEvent } from '@steady-scatter/contract';
import type { CallInput } from './call.ts';

/** What this device has at hand where the server does not answer, and what it is shown of what came. */
export interface AtHand {
  /** The answer as this device can give it. @throws Unreachable where it cannot */
  documents(kind: Kind, verb: DocumentVerb, input: CallInput): Promise<unknown>;
  events(event: EventKind, verb: EventVerb, input: CallInput): Promise<unknown>;
  search(q: string, limit: number): Promise<unknown>;
  /** The server answered: what came is at hand from now on. */
  seen(kind: Kind, verb: DocumentVerb, input: CallInput, answer: unknown): void;
  /** The same of what was measured or done; it is at hand when this ends. */
  seenRows(event: EventKind, rows: readonly StoredEvent<unknown>[]): Promise<void>;
}

let load: (() => Promise<AtHand>) | null = null;

/** Says what answers where the server does not. */
export const answersAtHand = (from: () => Promise<AtHand>): void => void (load = from);

/** What answers where the server does not; null: nothing does. */
export const atHand = async (): Promise<AtHand | null> => (load ? load().catch(() => null) : null);
