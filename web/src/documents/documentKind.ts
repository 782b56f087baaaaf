import type { InputOf, Kind, KindName } from '@steady-scatter/contract';
import { HOMES } from './homes.ts';

/** How the pages of a stored kind are called, and what they do beyond what its entry tells. */
export interface DocumentKind<Input, Of = Kind<string, Input>> {
  readonly kind: Of;
  /** Where its list stands, and what that is called. */
  readonly home: { readonly path: string; readonly label: string };
  /** What is stored in place of what was typed, so that nothing stored before is lost. */
  beforeKeep?(stored: Input, input: Input): Input;
  /** Somebody may be at it on another device: it is looked at again every few seconds. */
  isLive?(input: Input): boolean;
}

/** Tells a kind its pages. */
export const documentKind = <Of extends Kind & { readonly name: KindName }>(
  kind: Of,
  more: Pick<DocumentKind<InputOf<Of>>, 'beforeKeep' | 'isLive'> = {},
): DocumentKind<InputOf<Of>, Of> => ({ kind, home: HOMES[kind.name], ...more });
