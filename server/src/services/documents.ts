import { isDeepStrictEqual } from 'node:util';
import {
  calibrationTyped,
  productTyped,
  rigTyped,
  ruleSetTyped,
  siteTyped,
  soilTestTyped,
  widthTestTyped,
  type Calibration,
  type CalibrationWrite,
  type Product,
  type ProductBatch,
  type ProductWrite,
  type Rig,
  type RigWrite,
  type RuleSet,
  type RuleSetWrite,
  type Site,
  type SiteWrite,
  type SoilTest,
  type SoilTestWrite,
  type WidthTest,
  type WidthTestWrite,
} from '@steady-scatter/contract';
import {
  completeCalibration,
  completeProduct,
  completeRig,
  completeWidthTest,
  lostReadings,
  readCalibration,
  readProduct,
  readRig,
  readRuleSet,
  readSite,
  readSoilTest,
  readWidthTest,
  type InputError,
} from '@steady-scatter/core';
import type { ModelStatic, Sequelize } from 'sequelize';
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
import { wouldLose } from '../problems/Refusal.ts';
import { transact } from './transact.ts';
import { versioned, type Versioned } from './versioned.ts';

/** How a kind of thing is stored as it was typed. */
interface DocumentKind<Typed> {
  readonly what: string;
  readonly model: ModelStatic<DocumentRow>;
  /** What was typed, from a row; adds what an earlier version did not know. */
  parse(kept: unknown): Typed;
  /** The SI values of what was typed. */
  siOf(typed: Typed): object;
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

interface Write<Typed> {
  version: number;
  typed: Typed;
}

const columnsOf = <Typed extends { name: string }>({ siOf }: DocumentKind<Typed>, typed: Typed) => ({
  name: typed.name,
  typed: JSON.stringify(typed),
  si: JSON.stringify(siOf(typed)),
});

function documentService<Typed extends { name: string }>(
  sequelize: Sequelize,
  kind: DocumentKind<Typed>,
): Versioned<Write<Typed>, Document<Typed>> {
  const typedOf = ({ typed }: DocumentRow): Typed => kind.parse(JSON.parse(typed));
  return versioned<DocumentRow, Write<Typed>, Document<Typed>>(sequelize, {
    what: kind.what,
    model: kind.model,
    order: [['name', 'ASC'], ['id', 'ASC']], // prettier-ignore
    wireOf: (row) => ({
      id: row.id,
      version: row.version,
      isSample: row.isSample,
      typed: typedOf(row),
      changedAt: row.updatedAt.toISOString(),
    }),
    isSame: (row, { typed }) => isDeepStrictEqual(typedOf(row), typed),
    columnsOf: ({ typed }) => columnsOf(kind, typed),
    guard(row, { typed }) {
      const refused = kind.refusals?.(typedOf(row), typed) ?? [];
      if (refused.length > 0) throw wouldLose(refused);
    },
  });
}

const PRODUCTS: DocumentKind<Product['typed']> = {
  what: 'product',
  model: ProductRow,
  parse: (kept) => productTyped.parse(completeProduct(kept as Partial<Product['typed']>)),
  siOf(typed) {
    const { package: pack, densityKgPerL, priceCents, stockPackages } = readProduct(typed);
    return { packageSi: pack?.si ?? null, densityKgPerL, priceCents, stockPackages };
  },
};

/** The crew's shelf, with many products at once besides. */
export interface ProductService extends Versioned<ProductWrite, Product> {
  /** Puts new products on the shelf, all or none; those that are there already stay as they are. */
  addAll(crewId: string, batch: ProductBatch): Promise<void>;
  removeAll(crewId: string, ids: readonly string[]): Promise<void>;
}

export const productService = (sequelize: Sequelize): ProductService => ({
  ...documentService(sequelize, PRODUCTS),
  async addAll(crewId, { products }) {
    const rows = products.map(({ id, typed }) => ({
      id,
      crewId,
      version: 1,
      isSample: false,
      deletedAt: null,
      ...columnsOf(PRODUCTS, typed),
    }));
    await transact(sequelize, async (transaction) => {
      await ProductRow.bulkCreate(rows, { transaction, ignoreDuplicates: true });
    });
  },
  async removeAll(crewId, ids) {
    const deletedAt = new Date();
    await ProductRow.update(
      { deletedAt },
      { where: { crewId, id: [...ids], deletedAt: null }, silent: true },
    );
  },
});

export const soilTestService = (sequelize: Sequelize): Versioned<SoilTestWrite, SoilTest> =>
  documentService(sequelize, {
    what: 'soil test',
    model: SoilTestRow,
    parse: (kept) => soilTestTyped.parse(kept),
    siOf: (typed) => readSoilTest(typed).needs,
  });

export const ruleSetService = (sequelize: Sequelize): Versioned<RuleSetWrite, RuleSet> =>
  documentService(sequelize, {
    what: 'set of rules',
    model: RuleSetRow,
    parse: (kept) => ruleSetTyped.parse(kept),
    siOf: (typed) => readRuleSet(typed).rules.map(({ typed: { id }, limit }) => ({ id, limit })),
  });

export const siteService = (sequelize: Sequelize): Versioned<SiteWrite, Site> =>
  documentService(sequelize, {
    what: 'site',
    model: SiteRow,
    parse: (kept) => siteTyped.parse(kept),
    siOf(typed) {
      const { areas, totals } = readSite(typed);
      const sizes = areas.map(({ id, measured: { areaM2, bandM2 }, treatableM2 }) => ({ id, areaM2, bandM2, treatableM2 })); // prettier-ignore
      return { totals, areas: sizes };
    },
  });

export const rigService = (sequelize: Sequelize): Versioned<RigWrite, Rig> =>
  documentService(sequelize, {
    what: 'machine',
    model: RigRow,
    parse: (kept) => rigTyped.parse(completeRig(kept as Partial<Rig['typed']>)),
    siOf(typed) {
      const { hopperKg, widthM, paceMPerS } = readRig(typed);
      return { hopperKg, widthM, paceMPerS };
    },
  });

export const calibrationService = (sequelize: Sequelize): Versioned<CalibrationWrite, Calibration> =>
  documentService(sequelize, {
    what: 'calibration',
    model: CalibrationRow,
    parse: (kept) => calibrationTyped.parse(completeCalibration(kept as Partial<Calibration['typed']>)),
    refusals: lostReadings,
    // Without the machine's scale, which is kept by itself and may change.
    siOf(typed) {
      const { targetKgPerM2, widthM, runs } = readCalibration(typed);
      return { targetKgPerM2, widthM, runs: runs.map(({ id, worked }) => ({ id, worked })) };
    },
  });

export const widthTestService = (sequelize: Sequelize): Versioned<WidthTestWrite, WidthTest> =>
  documentService(sequelize, {
    what: 'width test',
    model: WidthTestRow,
    parse: (kept) => widthTestTyped.parse(completeWidthTest(kept as Partial<WidthTest['typed']>)),
    siOf(typed) {
      const { throwM, recommendedM, caughtKgPerM, trays } = readWidthTest(typed);
      return { throwM, recommendedM, caughtKgPerM, trays: trays.trays };
    },
  });
