import {
  calibrationWrite,
  jobWrite,
  productWrite,
  rigWrite,
  ruleSetWrite,
  siteWrite,
  soilTestWrite,
  widthTestWrite,
} from '@steady-scatter/contract';
import type { ModelStatic, Sequelize } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import {
  CalibrationRow,
  CrewRow,
  JobRow,
  ProductRow,
  RigRow,
  RuleSetRow,
  SiteRow,
  SoilTestRow,
  WidthTestRow,
} from '../models/index.ts';
import { jobService } from './jobs.ts';
import {
  calibrationService,
  productService,
  rigService,
  ruleSetService,
  siteService,
  soilTestService,
  widthTestService,
} from './documents.ts';
import type { Versioned } from './versioned.ts';

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
interface Shelf<Write> {
  readonly model: ModelStatic<JobRow> | ModelStatic<ProductRow>;
  readonly schema: z.ZodType<Write>;
  readonly service: Pick<Versioned<Write, unknown>, 'write'>;
  readonly rows: readonly z.infer<typeof row>[];
}

async function load<Write>(crewId: string, { model, schema, service, rows }: Shelf<Write>): Promise<void> {
  if ((await (model as ModelStatic<ProductRow>).count({ where: { crewId } })) > 0) return;
  for (const { id, ...rest } of rows) {
    // One after the other, so that the order is the same on every machine.
    // oxlint-disable-next-line no-await-in-loop
    await service.write(crewId, id, schema.parse({ version: 0, ...rest }), true);
  }
}

/**
 * Loads Tarn Hollow through the same checks as any write, and answers the id of its crew. Each shelf of things is
 * loaded once: one that came with a later version is added to a database of an earlier one, and what somebody deleted
 * stays deleted.
 */
export async function seedDemo(sequelize: Sequelize): Promise<string> {
  const { crew, ...rows } = demoShape.parse(demo);
  if ((await CrewRow.findByPk(crew.id)) === null) await CrewRow.create({ ...crew, isDemo: true });
  const shelf = <Write>(
    model: Shelf<Write>['model'],
    schema: z.ZodType<Write>,
    service: Shelf<Write>['service'],
    kept: Shelf<Write>['rows'],
  ) => load(crew.id, { model, schema, service, rows: kept });
  await shelf(ProductRow, productWrite, productService(sequelize), rows.products);
  await shelf(SiteRow, siteWrite, siteService(sequelize), rows.sites);
  await shelf(RigRow, rigWrite, rigService(sequelize), rows.rigs);
  await shelf(CalibrationRow, calibrationWrite, calibrationService(sequelize), rows.calibrations);
  await shelf(WidthTestRow, widthTestWrite, widthTestService(sequelize), rows.widthTests);
  await shelf(SoilTestRow, soilTestWrite, soilTestService(sequelize), rows.soilTests);
  await shelf(RuleSetRow, ruleSetWrite, ruleSetService(sequelize), rows.ruleSets);
  await shelf(JobRow, jobWrite, jobService(sequelize), rows.jobs);
  return crew.id;
}
