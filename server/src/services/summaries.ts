import type { Kind } from '@steady-scatter/contract';
import type { Transaction } from 'sequelize';
import type { Line } from '../checking/stored.ts';
import { LinkRow, type DocumentRow } from '../models/index.ts';
import type { SummaryModel } from '../models/summaries.ts';

type Head = Pick<DocumentRow, 'id' | 'crewId' | 'version' | 'isSample'> & { readonly changedAt: Date };

/** The row of a line. */
export const rowOf = ({ id, crewId, version, isSample, changedAt }: Head, { name, texts, isReadable, columns }: Line): Record<string, unknown> => ({ ...columns, id, crewId, version, isSample, isReadable, name, texts, changedAt }); // prettier-ignore

/** What leads from a document to what it leans on. */
export const linksOf = (kind: Kind, id: string, { links }: Line) =>
  links.map((toId) => ({ fromId: id, toId, kind: kind.name }));

/** Takes a document off the list of its kind. */
export async function dropLine(
  model: SummaryModel,
  ids: readonly string[],
  transaction: Transaction,
): Promise<void> {
  await model.destroy({ where: { id: [...ids] }, transaction });
  await LinkRow.destroy({ where: { fromId: [...ids] }, transaction });
}

/** Puts a document on the list of its kind, in place of what stood there of it. */
export async function putLine(
  { model, kind }: { model: SummaryModel; kind: Kind },
  head: Head,
  line: Line,
  { transaction, isNew }: { transaction: Transaction; isNew: boolean },
): Promise<void> {
  if (!isNew) await LinkRow.destroy({ where: { fromId: head.id }, transaction });
  const row = rowOf(head, line);
  if (isNew) await model.create(row, { transaction });
  else await model.upsert(row, { transaction });
  const links = linksOf(kind, head.id, line);
  if (links.length > 0) await LinkRow.bulkCreate(links, { transaction });
}
