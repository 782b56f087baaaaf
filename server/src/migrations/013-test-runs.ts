import { createHash } from 'node:crypto';
import { isJson, upgraded, type Json } from '@steady-scatter/core/fields';
import { calibrationUpgrades } from '@steady-scatter/core/testing';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import type { RunnableMigration } from 'umzug';

interface OldRow {
  readonly id: string;
  readonly crewId: string;
  readonly schemaVersion: number;
  readonly isSample: number;
  readonly input: string;
  readonly createdAt: Date;
  readonly updatedAt: Date;
}

/** The steps that led to the version whose runs are taken out, and the one after it. */
const [UP_TO_RUNS, WITHOUT_RUNS] = [calibrationUpgrades.slice(0, 1), calibrationUpgrades.slice(0, 2)];
const VERSION = 3;
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** The id of a run as a UUID: its own, or always the same one made of it. */
function idOf(calibration: string, run: string): string {
  if (UUID.test(run)) return run.toLowerCase();
  const hex = createHash('sha256').update(`${calibration} ${run}`).digest('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), `8${hex.slice(13, 16)}`, `8${hex.slice(17, 20)}`, hex.slice(20, 32)].join('-');
} // prettier-ignore

/** Moments of runs in the order in which they stood: noon of the day of each, later than the one before. */
function momentsOf(runs: readonly Json[], created: Date): Date[] {
  let last = 0;
  return runs.map(({ onDay }) => {
    const noon = Date.parse(`${String(onDay)}T12:00:00.000Z`);
    last = Math.max(last + 1, Number.isNaN(noon) ? created.getTime() : Math.min(noon, Date.now()));
    return new Date(last);
  });
}

/** A calibration with its runs taken out: what is stored of it, and each run under its new id. */
function apart({ id, schemaVersion, input, createdAt }: OldRow) {
  const stored: unknown = JSON.parse(input);
  if (!isJson(stored)) return null;
  const whole = upgraded(UP_TO_RUNS, schemaVersion, stored);
  const all: unknown = whole['runs'];
  if (!Array.isArray(all) || !all.every(isJson)) return null;
  const ids = new Map(all.map((run) => [String(run['id']), idOf(id, String(run['id']))]));
  const named = (text: unknown) => String(text).split('.').map((part) => ids.get(part) ?? part).join('.'); // prettier-ignore
  const counted = { ...whole, runs: all.map((run) => ({ ...run, id: ids.get(String(run['id'])) })) };
  const { runs: _, ...aim } = upgraded(WITHOUT_RUNS, 2, counted);
  const { confirmed } = aim;
  const moments = momentsOf(all, createdAt);
  return {
    aim: { ...aim, ...(Array.isArray(confirmed) && { confirmed: confirmed.map(named) }) },
    runs: all.map((run, index) => {
      const { id: was, step, ...said } = run;
      return { id: ids.get(String(was)) ?? '', step, occurredAt: moments[index], input: { ...said, units: whole['units'] } }; // prettier-ignore
    }),
  };
} // prettier-ignore

/** One calibration, in one transaction: its runs stand where they belong, or it is as it was. */
async function take(context: Sequelize, row: OldRow, found: NonNullable<ReturnType<typeof apart>>, transaction: Transaction): Promise<void> {
  const insert = (table: string, rows: object[]) =>
    rows.length === 0 ? null : context.getQueryInterface().bulkInsert(table, rows, { transaction, ignoreDuplicates: true } as never);
  const head = { crewId: row.crewId, schemaVersion: 1, isSample: Boolean(row.isSample) };
  await insert('events', found.runs.filter(({ step }) => step === '').map(({ id, occurredAt, input }) => Object.assign({}, head, {
    id,
    kind: 'testRuns',
    subjectId: row.id,
    firstId: null,
    occurredAt,
    recordedAt: row.updatedAt,
    input: JSON.stringify(input),
    byUser: null,
    byDevice: null,
  })));
  await insert('documents', found.runs.filter(({ step }) => step !== '').map(({ id, step, input }) => Object.assign({}, head, {
    id,
    kind: 'openRuns',
    version: 1,
    input: JSON.stringify({ ...input, step, calibration: row.id }),
    createdAt: row.updatedAt,
    updatedAt: row.updatedAt,
    deletedAt: null,
    changedByUser: null,
    changedByDevice: null,
  })));
  const now = { input: JSON.stringify(found.aim), schemaVersion: VERSION };
  await context.query('UPDATE documents SET input = :input, schemaVersion = :schemaVersion WHERE id = :id', { replacements: { ...now, id: row.id }, transaction });
} // prettier-ignore

/**
 * Test runs stand on their own: those that are done are appended, those that are being made are documents. A calibration that cannot be
 * read stays as it is, runs and all.
 */
export const testRuns: RunnableMigration<Sequelize> = {
  name: '013-test-runs',
  async up({ context }) {
    for (let after = ''; ; ) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other: each is a few MB at most
      const [row] = await context.query<OldRow>(
        "SELECT * FROM documents WHERE kind = 'calibrations' AND schemaVersion < :version AND id > :after ORDER BY id LIMIT 1",
        { replacements: { version: VERSION, after }, type: QueryTypes.SELECT },
      );
      if (!row) return;
      after = row.id;
      let found: ReturnType<typeof apart> = null;
      try {
        found = apart(row);
      } catch {
        // It is no JSON, or no calibration: whoever repairs it types its runs in anew.
      }
      // oxlint-disable-next-line no-await-in-loop
      if (found) await context.transaction((transaction) => take(context, row, found, transaction));
    }
  },
};
