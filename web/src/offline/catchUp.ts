import {
  EVENTS,
  KIND_NAMES,
  KINDS,
  MAX_EVENTS,
  MAX_PAGE,
  MAX_READ,
  type EventKind,
  type EventPage,
  type Kind,
  type Page,
  type StoredDocument,
} from '@steady-scatter/contract';
import { connectionStore } from '../api/connection.ts';
// Of the server alone: what is at hand is not brought here from here.
import { call, callDocuments, callEvents } from '../api/call.ts';
import { caught, clearAtHand, documentsOf, noteCaught, rowsOf, type Kept, type Line } from './keep.ts';

/** Jobs of this season and the one before are at hand; older ones are on the server. */
const SEASONS = 2;

/** The first day of which jobs are at hand. */
export const firstDay = (today: Date): string => `${today.getUTCFullYear() - SEASONS + 1}-01-01`;

const filterOf = ({ name }: Kind): string[] => (name === 'jobs' ? [`onDay>=${firstDay(new Date())}`] : []);

/** Every line of a list that can be read, page after page. */
async function linesOf(kind: Kind, signal: AbortSignal): Promise<Line[]> {
  const lines: Line[] = [];
  let cursor: string | null | undefined;
  while (cursor !== null) {
    const query = { limit: MAX_PAGE, filter: filterOf(kind), ...(cursor !== undefined && { cursor }) };
    // oxlint-disable-next-line no-await-in-loop -- one page after the other
    const page = (await callDocuments(kind, 'list', { query, signal })) as Page<Line>;
    lines.push(...page.items.filter(({ isReadable }) => isReadable));
    cursor = page.next;
  }
  return lines;
}

/** Brings the documents of a kind here: those that are new or changed, as many at a time as the server hands over. */
async function catchUpKind(kind: Kind, signal: AbortSignal): Promise<void> {
  const table = documentsOf(kind);
  const lines = await linesOf(kind, signal);
  const known = new Map((await table.entries()).map(([id, kept]) => [id, kept]));
  const byId = new Map(lines.map((line) => [line.id, line]));
  const changed = lines
    .filter((line) => known.get(line.id)?.doc.version !== line['version'])
    .map(({ id }) => id);
  for (let from = 0; from < changed.length; from += MAX_READ) {
    const ids = changed.slice(from, from + MAX_READ).join(',');
    // oxlint-disable-next-line no-await-in-loop -- one batch after the other
    const { documents } = (await callDocuments(kind, 'several', { query: { ids }, signal })) as {
      documents: StoredDocument<unknown>[];
    };
    // oxlint-disable-next-line no-await-in-loop
    await table.setMany(
      documents.map((doc): [string, Kept] => [doc.id, { doc, line: byId.get(doc.id) ?? null }]),
    );
  }
  const lined = lines.flatMap((line): [string, Kept][] => {
    const kept = known.get(line.id);
    return kept && kept.doc.version === line['version'] && kept.line === null
      ? [[line.id, { doc: kept.doc, line }]]
      : [];
  });
  if (lined.length > 0) await table.setMany(lined);
  await table.removeMany([...known.keys()].filter((id) => !byId.has(id)));
}

/** Brings here what was appended since the last time; gives the last of it. */
async function catchUpRows(
  event: EventKind,
  from: string | undefined,
  signal: AbortSignal,
): Promise<string | undefined> {
  let after = from;
  for (;;) {
    const query = { limit: MAX_EVENTS, ...(after !== undefined && { after }) };
    // oxlint-disable-next-line no-await-in-loop -- one page after the other
    const page = (await callEvents(event, 'list', { query, signal })) as EventPage<unknown>;
    // oxlint-disable-next-line no-await-in-loop
    await rowsOf(event.name).setMany(page.events.map((row) => [row.id, row]));
    if (page.next === null) return after;
    after = page.next;
  }
}

/** One at a time. */
let running: Promise<void> | null = null;

async function catchUpAll(signal: AbortSignal): Promise<void> {
  // Any answer tells which installation it is of; until one came, the last one known may be another.
  await call('health');
  const { installation } = connectionStore.get();
  const { installation: before, after: known } = await caught();
  const isSame = before === installation;
  // Rows of before a restore are rows of nothing. What was seen here before it caught up for the first time stays.
  if (before !== null && !isSame) await clearAtHand();
  const after = isSame ? known : {};
  if (!isSame) await noteCaught({ installation, after });
  const next: Record<string, string> = { ...after };
  for (const event of Object.values<EventKind>(EVENTS)) {
    // oxlint-disable-next-line no-await-in-loop -- the server has others to answer
    const last = await catchUpRows(event, after[event.name], signal);
    if (last !== undefined) next[event.name] = last;
  }
  // oxlint-disable-next-line no-await-in-loop
  for (const name of KIND_NAMES) await catchUpKind(KINDS[name], signal);
  await noteCaught({ installation, after: next });
}

/** Brings here what has to be at hand without a network: everything but jobs of seasons long past. */
export function catchUp(signal: AbortSignal): Promise<void> {
  running ??= catchUpAll(signal).finally(() => {
    running = null;
  });
  return running;
}
