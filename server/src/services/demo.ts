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
import { checkRead } from '../checking/check.ts';
import type { StoringName } from '../checking/stored.ts';
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
interface Shelf {
  readonly model: ModelStatic<JobRow> | ModelStatic<ProductRow>;
  readonly write: StoringName;
  readonly service: Pick<Versioned<unknown>, 'write'>;
  readonly rows: readonly z.infer<typeof row>[];
}

async function load(crewId: string, { model, write, service, rows }: Shelf): Promise<void> {
  if ((await (model as ModelStatic<ProductRow>).count({ where: { crewId } })) > 0) return;
  for (const { id, ...rest } of rows) {
    // One after the other, so that the order is the same on every machine.
    // oxlint-disable-next-line no-await-in-loop
    await service.write(crewId, id, checkRead(write, { version: 0, ...rest }), true);
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
  const shelves: Shelf[] = [
    { model: ProductRow, write: 'writeProduct', service: productService(sequelize), rows: rows.products },
    { model: SiteRow, write: 'writeSite', service: siteService(sequelize), rows: rows.sites },
    { model: RigRow, write: 'writeRig', service: rigService(sequelize), rows: rows.rigs },
    {
      model: CalibrationRow,
      write: 'writeCalibration',
      service: calibrationService(sequelize),
      rows: rows.calibrations,
    },
    {
      model: WidthTestRow,
      write: 'writeWidthTest',
      service: widthTestService(sequelize),
      rows: rows.widthTests,
    },
    { model: SoilTestRow, write: 'writeSoilTest', service: soilTestService(sequelize), rows: rows.soilTests },
    { model: RuleSetRow, write: 'writeRuleSet', service: ruleSetService(sequelize), rows: rows.ruleSets },
    { model: JobRow, write: 'writeJob', service: jobService(sequelize), rows: rows.jobs },
  ];
  // oxlint-disable-next-line no-await-in-loop -- what is chosen from stands before what chooses
  for (const shelf of shelves) await load(crew.id, shelf);
  return crew.id;
}
