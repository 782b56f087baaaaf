import { createHash } from 'node:crypto';
import { EVENTS } from '@steady-scatter/contract';
import {
  doneRows,
  ledgerRow,
  type ApplicationInput,
  type ApplicationRow,
  type LedgerRow,
} from '@steady-scatter/core/season';
import { LEDGER_NUTRIENTS } from '@steady-scatter/core/need';
import { Op, type Transaction } from 'sequelize';
import { AppliedRow, APPLIED_TABLE, kgColumn } from '../models/applied.ts';
import { EventRow, ProjectionRow } from '../models/index.ts';
import { storedOrNull } from './readStored.ts';

const EVENT = EVENTS.applications;
const AT_ONCE = 500;

/** Rows as core reads them; one that cannot be read adds nothing. */
function readable(rows: readonly EventRow[]): ApplicationRow[] {
  return rows.flatMap((row) => {
    const input = storedOrNull(EVENT, row) as ApplicationInput | null;
    return input ? [{ id: row.id, first: row.firstId, subject: row.subjectId, occurredAt: row.occurredAt.toISOString(), input }] : []; // prettier-ignore
  });
}

const lineOf = (crewId: string, { nutrients, isVoid: _isVoid, startedAt, ...row }: LedgerRow): Record<string, unknown> => ({
  ...row,
  crewId,
  startedAt: new Date(startedAt),
  ...Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [kgColumn(nutrient), nutrients[nutrient]])),
}); // prettier-ignore

/** Puts what rows of one application say by now into the ledger's lines, in place of what stood there. */
export async function putApplied(crewId: string, root: string, transaction: Transaction): Promise<void> {
  // A locking read: what another one appended meanwhile is seen.
  const rows = await EventRow.findAll({
    where: { crewId, kind: EVENT.name, [Op.or]: [{ id: root }, { firstId: root }] },
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  await AppliedRow.destroy({ where: { root }, transaction });
  const lines = doneRows(readable(rows)).map(ledgerRow).filter(({ isVoid }) => !isVoid);
  await AppliedRow.bulkCreate(lines.map((line) => lineOf(crewId, line)), { transaction });
} // prettier-ignore

/** Every application of one crew. */
async function fillCrew(crewId: string): Promise<void> {
  const all: ApplicationRow[] = [];
  for (let after = 0; ; ) {
    // oxlint-disable-next-line no-await-in-loop -- one batch after the other
    const rows = await EventRow.findAll({ where: { crewId, kind: EVENT.name, seq: { [Op.gt]: after } }, order: [['seq', 'ASC']], limit: AT_ONCE }); // prettier-ignore
    all.push(...readable(rows));
    const last = rows.at(-1);
    if (!last) break;
    after = last.seq;
  }
  const lines = doneRows(all).map(ledgerRow).filter(({ isVoid }) => !isVoid); // prettier-ignore
  for (let index = 0; index < lines.length; index += AT_ONCE)
    // oxlint-disable-next-line no-await-in-loop
    await AppliedRow.bulkCreate(lines.slice(index, index + AT_ONCE).map((line) => lineOf(crewId, line)));
}

/** Makes the ledger's lines anew where another program made them, or other columns. They hold nothing but what the applications say. */
export async function projectApplied(program: string): Promise<void> {
  const made = JSON.stringify([program, EVENT.schemaVersion, Object.keys(AppliedRow.getAttributes())]);
  const fingerprint = createHash('sha256').update(made).digest('hex');
  if ((await ProjectionRow.findByPk(APPLIED_TABLE))?.fingerprint === fingerprint) return;
  await ProjectionRow.destroy({ where: { kind: APPLIED_TABLE } });
  await AppliedRow.drop();
  await AppliedRow.sync();
  const crews = await EventRow.findAll({
    where: { kind: EVENT.name },
    attributes: ['crewId'],
    group: ['crewId'],
  });
  // oxlint-disable-next-line no-await-in-loop -- one crew after the other
  for (const { crewId } of crews) await fillCrew(crewId);
  await ProjectionRow.create({ kind: APPLIED_TABLE, fingerprint });
}
