import { calibrations, EVENTS, openRuns, type EventAppend } from '@steady-scatter/contract';
import {
  aimOf,
  calibrationInput,
  evaluateCalibration,
  keepEarlier,
  runsToAppend,
  testRunOf,
  withRuns,
  type CalibrationAim,
  type CalibrationInput,
  type OpenRunInput,
  type RunInput,
  type TestRunInput,
} from '@steady-scatter/core/testing';
import { useEffect, useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/shelf';
import { queries } from '../api/queries.ts';
import { documentKind, type Asked, type DocumentKind } from '../documents/documentKind.ts';
import { allDocs, docActs, keysOf, useDocs, useStored, useWhere, type Doc } from '../documents/docs.ts';
import { allRows, append, knownRows, useRows, type Row } from '../events/appended.ts';
import { saveDoc, type Save, type SavingOf } from '../documents/saving.ts';
import { aboutDocument, type Outcome, type Saving } from '../outbox/index.ts';
import { today } from '../ui/today.ts';

/** What is stored of calibrations: what is wanted, and what was signed off. */
export const AIMS = documentKind(calibrations);

/** Test runs that are being made. */
export const OPEN_RUNS: DocumentKind<OpenRunInput> = documentKind(openRuns, {
  beforeKeep: (stored, input) => keepEarlier(stored, input, 'taken anew'),
  isLive: () => true,
});

/** Nothing is asked for under it. */
const NO_ID = '';
const openFilter = (id: string): string => `calibration:${id}`;

/** Calibrations as they were put together last, by what is stored of them: the same parts make the same whole. */
const WHOLE = new WeakMap<Doc<CalibrationAim>, Doc<CalibrationInput>>();

/** A calibration with its runs. */
function wholeOf(
  doc: Doc<CalibrationAim>,
  rows: readonly Row<TestRunInput>[],
  open: readonly Doc<OpenRunInput>[],
): Doc<CalibrationInput> {
  const before = WHOLE.get(doc);
  const input = withRuns(doc.input, rows, open);
  const isSame =
    before?.input.runs.length === input.runs.length &&
    input.runs.every((run, index) => run === before.input.runs[index] || JSON.stringify(run) === JSON.stringify(before.input.runs[index])); // prettier-ignore
  const whole = isSame ? before : { ...doc, input };
  WHOLE.set(doc, whole);
  return whole;
}

const knownOpen = (id: string): readonly Doc<OpenRunInput>[] =>
  queries.getQueryData<Doc<OpenRunInput>[]>([...keysOf(openRuns).all, openFilter(id)]) ?? [];

/** A calibration with its runs, its parts asked for together; watched while a run is being made. */
function useOne(id: string | null): Asked<CalibrationInput> {
  const open = useWhere(OPEN_RUNS, id === null ? null : openFilter(id));
  const isWatched = (open.data?.length ?? 0) > 0;
  const aim = useStored(AIMS, id, isWatched);
  const rows = useRows('testRuns', id ?? NO_ID, { isWatched, isOff: id === null });
  const again = rows.refetch;
  // The last one that was being made is done: its row is there.
  useEffect(() => (isWatched ? () => void again() : undefined), [isWatched, again]);
  const data = useMemo(
    () => (aim.data && rows.data && open.data ? wholeOf(aim.data, rows.data, open.data) : undefined),
    [aim.data, rows.data, open.data],
  );
  return {
    data,
    error: aim.error ?? rows.error ?? open.error,
    refetch: () => [aim, rows, open].forEach((part) => void part.refetch()),
  };
}

/** When a run was made: now, or at noon of the day that it is said to be of; what says it anew comes after what it says anew. */
function momentOf(run: RunInput, rows: readonly Row<TestRunInput>[]): string {
  const now = Date.now();
  const before = rows.find(({ id }) => id === run.row);
  if (before) return new Date(Math.max(now, Date.parse(before.occurredAt) + 1)).toISOString();
  const noon = Date.parse(`${run.onDay}T12:00:00.000Z`);
  return new Date(run.onDay === today() || Number.isNaN(noon) ? now : Math.min(noon, now)).toISOString();
}

/** Has to be on the server before what is measured of it. */
const aboutAim = (calibration: string): string => aboutDocument(calibrations.name, calibration);

/**
 * Appends a run to its calibration: held on this device at once.
 *
 * @param on the calibration: its units are those of bare numbers
 */
export function appendRun(
  calibration: string,
  run: RunInput,
  on: CalibrationAim,
): Saving & { readonly row: string } {
  const isFirst = run.row === '';
  const row: EventAppend = {
    id: isFirst ? run.id : newId(),
    subject: calibration,
    first: isFirst ? null : run.id,
    occurredAt: momentOf(run, knownRows('testRuns', calibration)),
    schemaVersion: EVENTS.testRuns.schemaVersion,
    input: testRunOf(run, on),
  };
  const name = say('shelf.testRun.of', { machine: on.name, setting: run.setting || 'none' });
  return { row: row.id, ...append('testRuns', row, { name, needs: [aboutAim(calibration)] }) };
}

/** What became of several that were saved together: the worst of it. */
async function worstOf(outcomes: readonly Promise<Outcome>[]): Promise<Outcome> {
  const all = await Promise.all(outcomes);
  return all.find(({ state }) => state === 'refused') ?? all.find(({ state }) => state === 'waiting') ?? { state: 'sent' }; // prettier-ignore
}

/** Saves what is wanted, and appends the runs that are new or say something anew. */
function save(id: string, { base, input }: Save<CalibrationInput>): SavingOf<CalibrationInput> {
  const known = base.input as CalibrationInput;
  const before = withRuns(aimOf(known), knownRows('testRuns', id), knownOpen(id));
  const aim = saveDoc(AIMS, id, { base: { version: base.version, input: aimOf(known) }, input: aimOf(input) }); // prettier-ignore
  const appended = new Map(runsToAppend(before, input).map((run) => [run.id, appendRun(id, run, input)]));
  const all = [aim, ...appended.values()];
  return {
    shown: {
      ...input,
      runs: input.runs.map((run) => ({ ...run, row: appended.get(run.id)?.row ?? run.row })),
    },
    held: Promise.all(all.map(({ held }) => held)).then((held) => held.every(Boolean)),
    outcome: worstOf(all.map(({ outcome }) => outcome)),
  };
}

/** Readings that were stored stay beside those that were taken anew, run by run. */
const withEarlier = (before: CalibrationInput, input: CalibrationInput): CalibrationInput => ({
  ...input,
  runs: input.runs.map((run) => {
    const was = before.runs.find(({ id }) => id === run.id);
    return was ? keepEarlier(was, run, 'taken anew') : run;
  }),
});

/** Machines calibrated for products, with their runs. */
export const CALIBRATIONS: DocumentKind<CalibrationInput> = {
  kind: { ...calibrations, schema: calibrationInput, evaluate: (input) => evaluateCalibration(input) },
  home: AIMS.home,
  longList: 'runs',
  beforeKeep: withEarlier,
  parts: {
    useOne,
    save,
    whole: (stored) => wholeOf(stored, knownRows('testRuns', stored.id), knownOpen(stored.id)),
    adopt: (doc) => docActs(AIMS).adopt({ ...doc, input: aimOf(doc.input) }),
  },
};

function groupedBy<Item>(items: readonly Item[], keyOf: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}

/** Every calibration with its runs. */
function wholesOf(
  aims: readonly Doc<CalibrationAim>[],
  rows: readonly Row<TestRunInput>[],
  open: readonly Doc<OpenRunInput>[],
): Doc<CalibrationInput>[] {
  const rowsBy = groupedBy(rows, ({ subject }) => subject);
  const openBy = groupedBy(open, ({ input }) => input.calibration);
  return aims.map((doc) => wholeOf(doc, rowsBy.get(doc.id) ?? [], openBy.get(doc.id) ?? []));
}

/** All calibrations of the crew. */
export function useCalibrations(): { readonly data: readonly Doc<CalibrationInput>[] | undefined } {
  const { data: aims } = useDocs(AIMS);
  const { data: rows } = useRows('testRuns', null);
  const { data: open } = useDocs<OpenRunInput>(OPEN_RUNS);
  const data = useMemo(() => aims && rows && open && wholesOf(aims, rows, open), [aims, rows, open]);
  return { data };
}

/** What is stored of the calibrations of one machine; empty: of none. */
export const useAimsOf = (rig: string) => useWhere<CalibrationAim>(AIMS, rig === '' ? null : `rig:${rig}`);

/** The calibrations of one machine, with their runs; empty: of none. */
export function useCalibrationsOf(rig: string): { readonly data: readonly Doc<CalibrationInput>[] | undefined } {
  const { data: aims } = useAimsOf(rig);
  const ids = useMemo(() => aims?.map(({ id }) => id) ?? [], [aims]);
  const { data: rows } = useRows('testRuns', ids, { isOff: ids.length === 0 });
  const { data: open } = useWhere<OpenRunInput>(OPEN_RUNS, rig === '' ? null : '');
  const data = useMemo(() => aims && (rows ?? (ids.length === 0 ? [] : undefined)) && open && wholesOf(aims, rows ?? [], open), [aims, ids, rows, open]);
  return { data };
} // prettier-ignore

/** All calibrations of the crew as they stand on the server now. */
export async function allCalibrations(): Promise<Doc<CalibrationInput>[]> {
  const [aims, rows, open] = await Promise.all([
    allDocs(AIMS),
    allRows('testRuns'),
    allDocs<OpenRunInput>(OPEN_RUNS),
  ]);
  return wholesOf(aims, rows, open);
}
