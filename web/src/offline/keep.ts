import {
  EVENTS,
  KIND_NAMES,
  type Kind,
  type StoredDocument,
  type StoredEvent,
} from '@steady-scatter/contract';
import { tableOf, type Table } from '../device/index.ts';

/** The line of a document in the list of its kind, as the server made it. */
export type Line = Readonly<Record<string, unknown>> & { readonly id: string; readonly name: string };

/** A document that is at hand, with its line where the server told one. */
export interface Kept {
  readonly doc: StoredDocument<unknown>;
  readonly line: Line | null;
}

/** How far the device has caught up, and with which installation. */
interface Caught {
  readonly installation: string | null;
  /** The last of what was appended, by event. */
  readonly after: Readonly<Record<string, string>>;
}

const tables = new Map<string, Table<never>>();

/** The table of a name, opened once. */
function tableNamed<Row>(name: string): Table<Row> {
  const known = tables.get(name);
  if (known) return known;
  const made = tableOf<Row>(name);
  tables.set(name, made as unknown as Table<never>);
  return made;
}

/** Documents of a kind that are at hand, each by itself. */
export const documentsOf = ({ name }: Pick<Kind, 'name'>): Table<Kept> => tableNamed(`documents-${name}`);
/** What was appended and is at hand, each row by itself. */
export const rowsOf = (event: string): Table<StoredEvent<unknown>> => tableNamed(`rows-${event}`);
const caughtUp = (): Table<Caught> => tableNamed('caught-up');

const NONE: Caught = { installation: null, after: {} };
export const caught = async (): Promise<Caught> => (await caughtUp().get('now')) ?? NONE;
export const noteCaught = async (now: Caught): Promise<void> =>
  void (await caughtUp().setMany([['now', now]]));

/** Forgets everything that is at hand. */
export async function clearAtHand(): Promise<void> {
  const all = [
    ...KIND_NAMES.map((name) => documentsOf({ name })),
    ...Object.keys(EVENTS).map(rowsOf),
    caughtUp(),
  ];
  await Promise.all(all.map((table) => table.clear()));
}
