import type { InputOf, Kind, KindName, StoredDocument } from '@steady-scatter/contract';
import { HOMES } from './homes.ts';
import type { Save, SavingOf } from './saving.ts';

/** How a thing that is put together from several stored ones is asked for and stored. */
export interface DocumentParts<Input> {
  /** One of them; not asked for while there is no id. */
  useOne(id: string | null): Asked<Input>;
  /** The whole of what stands on the server of the thing itself, with what is known of its parts. */
  whole(stored: StoredDocument<never>): StoredDocument<Input>;
  save(id: string, save: Save<Input>): SavingOf<Input>;
  /** Shows what somebody else stored as what stands there now. */
  adopt(doc: StoredDocument<Input>): Promise<void>;
}

/** A document that is asked for: it comes, or why it does not. */
export interface Asked<Input> {
  readonly data: StoredDocument<Input> | undefined;
  readonly error: Error | null;
  refetch(): unknown;
}

/** How the pages of a stored kind are called, and what they do beyond what its entry tells. */
export interface DocumentKind<Input, Of = Kind<string, Input>> {
  readonly kind: Of;
  /** Where its list stands, and what that is called. */
  readonly home: { readonly path: string; readonly label: string };
  /** What is stored in place of what was typed, so that nothing stored before is lost. */
  beforeKeep?(stored: Input, input: Input): Input;
  /** It is put together from several stored things. */
  readonly parts?: DocumentParts<Input>;
  /** The list of it that may have hundreds of items. */
  readonly longList?: string;
  /** Somebody may be at it on another device: it is looked at again every few seconds. */
  isLive?(input: Input): boolean;
}

/** Tells a kind its pages. */
export const documentKind = <Of extends Kind & { readonly name: KindName }>(
  kind: Of,
  more: Pick<DocumentKind<InputOf<Of>>, 'beforeKeep' | 'isLive'> = {},
): DocumentKind<InputOf<Of>, Of> => ({ kind, home: HOMES[kind.name], ...more });
