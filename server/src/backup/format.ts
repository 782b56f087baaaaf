// The archive: a zip of one text file for each table, a row to a line as JSON, and a manifest that tells the version and the checksum
// of each. It can be read without this program. docs/backup.md describes it.
import * as z from 'zod';
import { DERIVED_TABLES } from '../models/summaries.ts';

export const FORMAT = 'steady-scatter-backup';
export const FORMAT_VERSION = 1;
export const MANIFEST = 'manifest.json';

/** Tables that stay with the installation: what it is known by, whom it trusts, which steps its own tables have taken, and what is made from the rest. */
export const LEFT_OUT: ReadonlySet<string> = new Set([
  'devices',
  'feeds',
  'installations',
  'migrations',
  ...DERIVED_TABLES,
]);

/** Columns that hold JSON: they are written as what they say, not as text in a text. */
export const JSON_COLUMNS: ReadonlySet<string> = new Set(['typed', 'si', 'input']);

/** Largest that an archive may become when it is unpacked, and most that it may have been packed to, as a share. */
export const MAX_BYTES = 2 * 2 ** 30;
export const MAX_RATIO = 400;

const file = z.strictObject({
  table: z.string().regex(/^[A-Za-z]{1,60}$/),
  name: z.string().regex(/^rows\/[A-Za-z]{1,60}\.jsonl$/),
  rows: z.int().min(0),
  bytes: z.int().min(0).max(MAX_BYTES),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});

export const manifest = z.strictObject({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  /** When it was made, ISO 8601 in UTC. */
  madeAt: z.iso.datetime(),
  /** The last step that the tables had taken: they are restored at it, and brought up to date after. */
  schema: z.string().max(120),
  files: z.array(file).max(200),
});

export type Manifest = z.infer<typeof manifest>;

/** An archive that cannot be restored, with the sentence that says why. */
export class UnfitArchive extends Error {}
