import {
  calibrationShape,
  productFacts,
  rigShape,
  ruleSetShape,
  siteShape,
  soilTestShape,
  widthTestShape,
  type Calibration,
  type Product,
  type Rig,
  type RuleSet,
  type Site,
  type SoilTest,
  type WidthTest,
} from '@steady-scatter/contract';
import type { InputError } from '@steady-scatter/core/errors';
import { upgradeRig } from '@steady-scatter/core/rigs';
import { upgradeProduct } from '@steady-scatter/core/shelf';
import { upgradeCalibration, lostReadings } from '@steady-scatter/core/testing';
import { upgradeWidthTest } from '@steady-scatter/core/width';
import type { ModelStatic, Sequelize, Transaction } from 'sequelize';
import { changedBy, type Actor } from '../actor.ts';
import type { Stored } from '../checking/stored.ts';
import {
  CalibrationRow,
  ProductRow,
  RigRow,
  RuleSetRow,
  SiteRow,
  SoilTestRow,
  WidthTestRow,
  type DocumentRow,
} from '../models/index.ts';
import { notFound, plainProblem, wouldLose } from '../problems/HttpProblem.ts';
import { transact } from './transact.ts';
import { versioned, type Versioned } from './versioned.ts';

/** How a kind of thing is stored as it was typed. */
interface DocumentKind<Typed> {
  readonly what: string;
  readonly model: ModelStatic<DocumentRow>;
  /** What was typed, from a row; adds what an earlier version did not know. Its texts are not looked at again. */
  parse(kept: unknown): Typed;
  /** Why a change of one may not be kept; none: it may. */
  refusals?(before: Typed, after: Typed): readonly InputError[];
}

interface Document<Typed> {
  id: string;
  version: number;
  isSample: boolean;
  typed: Typed;
  changedAt: string;
}

function documentService<Typed extends { name: string }>(
  sequelize: Sequelize,
  kind: DocumentKind<Typed>,
): Versioned<Document<Typed>> {
  const typedIn = (typed: string): Typed => kind.parse(JSON.parse(typed));
  return versioned<DocumentRow, Document<Typed>>(sequelize, {
    what: kind.what,
    model: kind.model,
    order: [['name', 'ASC'], ['id', 'ASC']], // prettier-ignore
    wireOf: (row) => ({
      id: row.id,
      version: row.version,
      isSample: row.isSample,
      typed: typedIn(row.typed),
      changedAt: row.updatedAt.toISOString(),
    }),
    isSame: (row, { columns }) => row.typed === columns['typed'] || JSON.stringify(typedIn(row.typed)) === columns['typed'], // prettier-ignore
    guard(row, { columns }) {
      const refused = kind.refusals?.(typedIn(row.typed), typedIn(String(columns['typed']))) ?? [];
      if (refused.length > 0) throw wouldLose(refused);
    },
  });
}

/** The crew's shelf, with many products at once besides. */
export interface ProductService extends Versioned<Product> {
  /** Puts new products on the shelf, all or none; those that are there already stay as they are. */
  addAll(actor: Actor, batch: Stored): Promise<void>;
  /** Takes products off the shelf, all or none. */
  removeAll(actor: Actor, ids: readonly string[]): Promise<void>;
}

export const productService = (sequelize: Sequelize): ProductService => ({
  ...documentService(sequelize, {
    what: 'product',
    model: ProductRow,
    parse: (kept) => productFacts.parse(upgradeProduct(kept as Partial<Product['typed']>)),
  }),
  async addAll(actor, { parts }) {
    const own = { crewId: actor.crewId, version: 1, isSample: false, deletedAt: null, ...changedBy(actor) };
    const rows = parts.map((part) => Object.assign({}, part, own));
    const ids = parts.map(({ id }) => String(id));
    await transact(sequelize, async (transaction) => {
      await ProductRow.bulkCreate(rows as unknown as ProductRow['_creationAttributes'][], { ignoreDuplicates: true, transaction }); // prettier-ignore
      // An id that was passed over stands for a product of ours, or it is somebody else's.
      if ((await ownOf(actor, ids, transaction)) < new Set(ids).size) throw plainProblem('id-taken');
    });
  },
  async removeAll(actor, ids) {
    const gone = { deletedAt: new Date(), ...changedBy(actor) };
    const where = { crewId: actor.crewId, id: [...ids], deletedAt: null };
    await transact(sequelize, async (transaction) => {
      if ((await ownOf(actor, ids, transaction)) < new Set(ids).size)
        throw notFound('product with one of these ids');
      await ProductRow.update(gone, { where, silent: true, transaction });
    });
  },
});

/** How many of these products are the crew's. */
const ownOf = ({ crewId }: Actor, ids: readonly string[], transaction: Transaction): Promise<number> =>
  ProductRow.count({ where: { crewId, id: [...ids] }, transaction });

export const soilTestService = (sequelize: Sequelize): Versioned<SoilTest> =>
  documentService(sequelize, {
    what: 'soil test',
    model: SoilTestRow,
    parse: (kept) => soilTestShape.parse(kept),
  });

export const ruleSetService = (sequelize: Sequelize): Versioned<RuleSet> =>
  documentService(sequelize, {
    what: 'set of rules',
    model: RuleSetRow,
    parse: (kept) => ruleSetShape.parse(kept),
  });

export const siteService = (sequelize: Sequelize): Versioned<Site> =>
  documentService(sequelize, { what: 'site', model: SiteRow, parse: (kept) => siteShape.parse(kept) });

export const rigService = (sequelize: Sequelize): Versioned<Rig> =>
  documentService(sequelize, {
    what: 'machine',
    model: RigRow,
    parse: (kept) => rigShape.parse(upgradeRig(kept as Partial<Rig['typed']>)),
  });

export const calibrationService = (sequelize: Sequelize): Versioned<Calibration> =>
  documentService(sequelize, {
    what: 'calibration',
    model: CalibrationRow,
    parse: (kept) => calibrationShape.parse(upgradeCalibration(kept as Partial<Calibration['typed']>)),
    refusals: lostReadings,
  });

export const widthTestService = (sequelize: Sequelize): Versioned<WidthTest> =>
  documentService(sequelize, {
    what: 'width test',
    model: WidthTestRow,
    parse: (kept) => widthTestShape.parse(upgradeWidthTest(kept as Partial<WidthTest['typed']>)),
  });
