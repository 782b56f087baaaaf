import type { ModelStatic, Sequelize } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import {
  CalibrationRow,
  CrewRow,
  JobAreaRow,
  JobRow,
  ProductRow,
  RigRow,
  RuleSetRow,
  SiteRow,
  SoilTestRow,
  WidthTestRow,
} from '../models/index.ts';
import { checkRead } from '../checking/check.ts';
import type { StoringName } from '../checking/stored.ts';

const row = z.intersection(z.object({ id: z.uuid() }), z.record(z.string(), z.unknown()));
const demoShape = z.object({
  crew: z.object({ id: z.uuid(), name: z.string() }),
  products: z.array(row),
  sites: z.array(row),
  rigs: z.array(row),
  calibrations: z.array(row),
  widthTests: z.array(row),
  soilTests: z.array(row),
  ruleSets: z.array(row),
  jobs: z.array(row),
});

/** One shelf of things: loaded when the crew has none of the kind, deleted ones counted. */
interface Shelf {
  readonly model: ModelStatic<JobRow> | ModelStatic<ProductRow>;
  readonly write: StoringName;
  readonly rows: readonly z.infer<typeof row>[];
}

/** All of it or none: a start that is killed meanwhile leaves no half of a shelf behind, which would count as one that was loaded. */
async function load(sequelize: Sequelize, crewId: string, { model, write, rows }: Shelf): Promise<void> {
  const shelf = model as ModelStatic<ProductRow>;
  if ((await shelf.count({ where: { crewId } })) > 0) return;
  const checked = rows.map(({ id, ...rest }) => ({ id, ...checkRead(write, { version: 0, ...rest }) }));
  const documents = checked.map(({ id, columns }) => ({ ...columns, id, crewId, version: 1, isSample: true, deletedAt: null })); // prettier-ignore
  const areas = checked.flatMap(({ id, parts }) => parts.map((part) => ({ ...part, jobId: id, crewId })));
  await sequelize.transaction(async (transaction) => {
    await shelf.bulkCreate(documents as unknown as ProductRow['_creationAttributes'][], { transaction });
    await JobAreaRow.bulkCreate(areas as unknown as JobAreaRow['_creationAttributes'][], { transaction });
  });
}

/**
 * Loads Tarn Hollow through the same checks as any write, and answers the id of its crew. Each shelf of things is
 * loaded once: one that came with a later version is added to a database of an earlier one, and what somebody deleted
 * stays deleted.
 */
export async function seedDemo(sequelize: Sequelize): Promise<string> {
  const { crew, ...rows } = demoShape.parse(demo);
  if ((await CrewRow.findByPk(crew.id)) === null) await CrewRow.create({ ...crew, isDemo: true });
  const shelves: Shelf[] = [
    { model: ProductRow, write: 'writeProduct', rows: rows.products },
    { model: SiteRow, write: 'writeSite', rows: rows.sites },
    { model: RigRow, write: 'writeRig', rows: rows.rigs },
    { model: CalibrationRow, write: 'writeCalibration', rows: rows.calibrations },
    { model: WidthTestRow, write: 'writeWidthTest', rows: rows.widthTests },
    { model: SoilTestRow, write: 'writeSoilTest', rows: rows.soilTests },
    { model: RuleSetRow, write: 'writeRuleSet', rows: rows.ruleSets },
    { model: JobRow, write: 'writeJob', rows: rows.jobs },
  ];
  // oxlint-disable-next-line no-await-in-loop -- what is chosen from stands before what chooses
  for (const shelf of shelves) await load(sequelize, crew.id, shelf);
  return crew.id;
}
