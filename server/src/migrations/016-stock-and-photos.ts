import { createHash } from 'node:crypto';
import { DataTypes, QueryTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

interface Product {
  readonly id: string;
  readonly crewId: string;
  readonly isSample: number;
  readonly input: string;
  readonly updatedAt: Date;
}

/** Always the same id for the count of a product: a start that is killed meanwhile counts nothing twice. */
const countId = (product: string): string => {
  const hex = createHash('sha256').update(`${product} counted`).digest('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), `8${hex.slice(13, 16)}`, `8${hex.slice(17, 20)}`, hex.slice(20, 32)].join('-'); // prettier-ignore
};

function stockIn(text: string): string {
  try {
    const { stock } = JSON.parse(text) as { stock?: unknown };
    return typeof stock === 'string' ? stock.trim() : '';
  } catch {
    return '';
  }
}

/** What was typed as the stock of a product becomes a count of the day it was typed. The label keeps what stood on it. */
async function countStock(context: Sequelize): Promise<void> {
  const products = await context.query<Product>(
    "SELECT id, crewId, isSample, input, updatedAt FROM documents WHERE kind = 'products'",
    { type: QueryTypes.SELECT },
  );
  const rows = products.flatMap(({ id, crewId, isSample, input, updatedAt }) => {
    const packages = stockIn(input);
    if (packages === '') return [];
    const said = { what: 'counted', packages, lot: '', price: '', by: '', note: '', void: '' };
    return [{
      id: countId(id),
      crewId,
      kind: 'stockMoves',
      subjectId: id,
      firstId: null,
      occurredAt: updatedAt,
      recordedAt: updatedAt,
      schemaVersion: 1,
      isSample: Boolean(isSample),
      input: JSON.stringify(said),
      byUser: null,
      byDevice: null,
    }]; // prettier-ignore
  });
  if (rows.length > 0)
    await context.getQueryInterface().bulkInsert('events', rows, { ignoreDuplicates: true } as never);
}

/** Stock is a sum of what was counted, received and used; photos have a table; corrections are found by what they correct. */
export const stockAndPhotos: RunnableMigration<Sequelize> = {
  name: '016-stock-and-photos',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const id = { type: DataTypes.UUID, allowNull: false };
    const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
    const count = { type: DataTypes.INTEGER, allowNull: false };
    await steps.createTable('photos', {
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      type: text(20),
      bytes: count,
      width: count,
      height: count,
      sha256: text(64),
      sentSha256: text(64),
      picture: { type: DataTypes.TEXT('long'), allowNull: false },
      recordedAt: { type: DataTypes.DATE(3), allowNull: false },
      removedAt: { type: DataTypes.DATE(3), allowNull: true },
      removedWhy: text(400),
      byDevice: { type: DataTypes.UUID, allowNull: true },
    });
    await steps.addIndex('events', ['firstId']);
    await countStock(context);
  },
};
