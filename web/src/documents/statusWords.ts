import { say } from '@steady-scatter/words/common';
import type { DocumentStatus } from './useDocument.ts';

/** What stands beside the name of an open document; null: there is nothing to say. */
export const STATUS_WORDS = {
  new: null,
  draft: say('common.unsavedChanges'),
  'on-device': say('common.savedOnDevice'),
  saved: null,
  refused: say('common.unsavedChanges'),
} as const satisfies Record<DocumentStatus, string | null>;

/** What stands in place of saving where there is nothing to save; the server has it, or this device alone. */
export const SAVED_WORDS: Readonly<Partial<Record<DocumentStatus, string>>> = {
  saved: say('common.saved'),
  'on-device': say('common.onDevice'),
};
