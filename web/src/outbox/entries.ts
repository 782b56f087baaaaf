import type { EventAppend, EventName, KindName } from '@steady-scatter/contract';

interface Head {
  readonly id: string;
  /** What it is of: a document, as its kind and id. What is saved of it anew takes the place of what waits. */
  readonly about: string;
  /** What has to be on the server before it. */
  readonly needs: readonly string[];
  /** What a person calls it. */
  readonly name: string;
  /** When it was saved here, ISO 8601. */
  readonly at: string;
  /** The installation that it is meant for; null: none was known yet. */
  readonly installation: string | null;
}

/** What a change of a document started from; version 0: it is not on the server yet. */
export interface Base {
  readonly version: number;
  readonly input: unknown;
}

/** A document as it was saved here. */
export interface DocumentEntry extends Head {
  readonly what: 'document';
  readonly kind: KindName;
  readonly documentId: string;
  readonly schemaVersion: number;
  readonly base: Base;
  readonly input: unknown;
  /** What was sent of it before and not answered: that may be what stands there. */
  readonly unanswered?: readonly unknown[];
}

/** Something measured or done. */
export interface RowEntry extends Head {
  readonly what: 'row';
  readonly event: EventName;
  readonly row: EventAppend;
}

/** A picture that was taken; a record names it by its id. */
export interface PhotoEntry extends Head {
  readonly what: 'photo';
  readonly photo: string;
  readonly picture: Blob;
}

export type Entry = DocumentEntry | RowEntry | PhotoEntry;

/** Why it is not on the server, and will not be by itself. */
export interface Refusal {
  /** Of the server's problem; `held-back`: what it needs was refused; `trouble`: something went wrong on this device. */
  readonly code: string;
  readonly words: string;
  /** For a document that was changed elsewhere: what stands there, null when it was deleted. */
  readonly theirs?: unknown;
}

/** What was saved here and is not on the server; refused where a person has to decide. */
export interface Waiting {
  readonly entry: Entry;
  readonly refusal: Refusal | null;
}

/** What became of it, as far as can be told now. */
export type Outcome =
  | { readonly state: 'sent' | 'waiting' }
  | { readonly state: 'refused'; readonly refusal: Refusal };

/** Something on its way: on this device first, then on the server. */
export interface Saving {
  /** False: the device does not hold it; it is there as long as the page is. */
  readonly held: Promise<boolean>;
  readonly outcome: Promise<Outcome>;
}

export const aboutDocument = (kind: string, id: string): string => `${kind}:${id}`;
