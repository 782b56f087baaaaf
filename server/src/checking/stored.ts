// What is stored beside what was typed: worked out from it by core, without a database.
import {
  calibrationResult,
  productResult,
  rigResult,
  ruleSetResult,
  siteResult,
  soilTestResult,
  widthTestResult,
  worksheetAnswer,
  type BodyOf,
  type RouteName,
} from '@steady-scatter/contract';

/** Routes whose bodies are kept. */
export type StoringName = Extract<RouteName, `write${string}` | 'addProducts'>;

/** What a write stores: the columns of its row, and the rows that belong to it. */
export interface Stored {
  /** The version last seen, 0 for a new one. */
  readonly version: number;
  readonly columns: Readonly<Record<string, unknown>>;
  readonly parts: readonly Readonly<Record<string, unknown>>[];
}

type Typed<Name extends RouteName> = BodyOf<Name> extends { typed: infer It } ? It : never;

/** The SI values of each kind that is stored as it was typed. */
const SI = {
  writeProduct(typed: Typed<'writeProduct'>): object {
    const { package: pack, densityKgPerL, priceCents, stockPackages } = productResult(typed);
    return { packageSi: pack?.si ?? null, densityKgPerL, priceCents, stockPackages };
  },
  writeSoilTest: (typed: Typed<'writeSoilTest'>): object => soilTestResult(typed).needs,
  writeRuleSet: (typed: Typed<'writeRuleSet'>): object =>
    ruleSetResult(typed).rules.map(({ typed: { id }, limit }) => ({ id, limit })),
  writeSite(typed: Typed<'writeSite'>): object {
    const { areas, totals } = siteResult(typed);
    const sizes = areas.map(({ id, measured: { areaM2, bandM2 }, treatableM2 }) => ({ id, areaM2, bandM2, treatableM2 })); // prettier-ignore
    return { totals, areas: sizes };
  },
  writeRig(typed: Typed<'writeRig'>): object {
    const { hopperKg, widthM, paceMPerS } = rigResult(typed);
    return { hopperKg, widthM, paceMPerS };
  },
  // Without the machine's scale, which is kept by itself and may change.
  writeCalibration(typed: Typed<'writeCalibration'>): object {
    const { targetKgPerM2, widthM, runs } = calibrationResult(typed);
    return { targetKgPerM2, widthM, runs: runs.map(({ id, worked }) => ({ id, worked })) };
  },
  writeWidthTest(typed: Typed<'writeWidthTest'>): object {
    const { throwM, recommendedM, caughtKgPerM, trays } = widthTestResult(typed);
    return { throwM, recommendedM, caughtKgPerM, trays: trays.trays };
  },
};

const columnsOf = (typed: { readonly name: string }, si: object) => ({
  name: typed.name,
  typed: JSON.stringify(typed),
  si: JSON.stringify(si),
});

function jobStored({ version, name, onDay, worksheet }: BodyOf<'writeJob'>): Stored {
  const { areas, ...typed } = worksheet;
  const { reading, numbers } = worksheetAnswer(worksheet);
  return {
    version,
    columns: {
      name,
      onDay,
      typed: JSON.stringify(typed),
      needSi: reading.need?.si ?? null,
      packageSi: reading.product.package?.si ?? null,
      coverageM2: reading.product.coverage?.areaM2 ?? null,
      rateSi: numbers.rateSi,
    },
    parts: areas.map(({ id, name: areaName, size, unit, from }, position) => ({
      id,
      position,
      name: areaName,
      sizeTyped: size,
      sizeUnit: unit,
      areaM2: reading.areas[position]?.size?.areaM2 ?? null,
      siteId: from?.site ?? null,
      siteAreaId: from?.area ?? null,
    })),
  };
}

/** What the body of a request stores. */
export function storedOf(name: StoringName, body: BodyOf<StoringName>): Stored {
  if (name === 'writeJob') return jobStored(body as BodyOf<'writeJob'>);
  if (name === 'addProducts') {
    const { products } = body as BodyOf<'addProducts'>;
    const parts = products.map(({ id, typed }) =>
      Object.assign(columnsOf(typed, SI.writeProduct(typed)), { id }),
    );
    return { version: 0, columns: {}, parts };
  }
  const si: (typed: never) => object = SI[name];
  const { version, typed } = body as unknown as { version: number; typed: { name: string } };
  return { version, columns: columnsOf(typed, si(typed as never)), parts: [] };
}
