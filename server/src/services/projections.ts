import { createHash } from 'node:crypto';
import { KIND_NAMES, type Kind } from '@steady-scatter/contract';
import { Op, type Sequelize } from 'sequelize';
import { kindNamed, lineOf, unreadableLine, type Line } from '../checking/stored.ts';
import { DocumentRow, LinkRow, ProjectionRow } from '../models/index.ts';
import { summaryModel } from '../models/summaries.ts';
import { projectApplied } from './applied.ts';
import { readStored } from './readStored.ts';
import { linksOf, rowOf } from './summaries.ts';

const AT_ONCE = 200;

/** What a list was made from: another one has to be made anew. */
function fingerprintOf({ schemaVersion, columns, sort, indexed = [] }: Kind, program: string): string {
  const types = Object.entries(columns).map(([name, { type }]) => [name, type]);
  const made = JSON.stringify([program, schemaVersion, sort, indexed, types]);
  return createHash('sha256').update(made).digest('hex');
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** The line of a stored document, whether it can be read or not. */
export function lineOfRow(kind: Kind, row: DocumentRow): Line {
  try {
    return lineOf(kind, readStored(kind, row));
  } catch {
    return unreadableLine(kind, parsed(row.input));
  }
}

async function fill(sequelize: Sequelize, kind: Kind): Promise<void> {
  const model = summaryModel(sequelize, kind);
  for (let after = ''; ; ) {
    const where = { kind: kind.name, deletedAt: null, id: { [Op.gt]: after } };
    // oxlint-disable-next-line no-await-in-loop -- one batch after the other
    const rows = await DocumentRow.findAll({ where, order: [['id', 'ASC']], limit: AT_ONCE });
    const last = rows.at(-1);
    if (!last) return;
    after = last.id;
    const lines = rows.map((row) => ({ row, line: lineOfRow(kind, row) }));
    // oxlint-disable-next-line no-await-in-loop
    await model.bulkCreate(
      lines.map(({ row, line }) => rowOf({ ...row.get(), changedAt: row.updatedAt }, line)),
    );
    // oxlint-disable-next-line no-await-in-loop
    await LinkRow.bulkCreate(lines.flatMap(({ row, line }) => linksOf(kind, row.id, line)));
  }
}

/** Makes the list of one kind anew. A start that is killed meanwhile leaves no fingerprint: the next one begins again. */
async function project(sequelize: Sequelize, kind: Kind, fingerprint: string): Promise<void> {
  const model = summaryModel(sequelize, kind);
  await ProjectionRow.destroy({ where: { kind: kind.name } });
  await LinkRow.destroy({ where: { kind: kind.name } });
  await model.drop();
  await model.sync();
  await fill(sequelize, kind);
  await ProjectionRow.create({ kind: kind.name, fingerprint });
}

/**
 * Makes the lists of all kinds that are not there yet, or were made by another program or for other columns. They hold nothing but
 * what the documents say.
 *
 * @param program tells one build of the program from another: how something is worked out may have changed
 * @param kinds the kinds; all of them where nothing else is said
 */
export async function projectAll(
  sequelize: Sequelize,
  program: string,
  kinds: readonly Kind[] = KIND_NAMES.map(kindNamed),
): Promise<void> {
  await projectApplied(program);
  const known = new Map((await ProjectionRow.findAll()).map(({ kind, fingerprint }) => [kind, fingerprint]));
  for (const kind of kinds) {
    const fingerprint = fingerprintOf(kind, program);
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    if (known.get(kind.name) !== fingerprint) await project(sequelize, kind, fingerprint);
  }
}
