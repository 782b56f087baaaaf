import { jobWrite, productWrite, ruleSetWrite, siteWrite, soilTestWrite } from '@steady-scatter/contract';
import type { ModelStatic, Sequelize } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { CrewRow, JobRow, ProductRow, RuleSetRow, SiteRow, SoilTestRow } from '../models/index.ts';
import { jobService } from './jobs.ts';
import { productService, ruleSetService, siteService, soilTestService } from './documents.ts';
import type { Versioned } from './versioned.ts';

const row = z.intersection(z.object({ id: z.uuid() }), z.record(z.string(), z.unknown()));
const demoShape = z.object({
  crew: z.object({ id: z.uuid(), name: z.string() }),
  products: z.array(row),
  sites: z.array(row),
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
  const { crew, products, sites, soilTests, ruleSets, jobs } = demoShape.parse(demo);
  if ((await CrewRow.findByPk(crew.id)) === null) await CrewRow.create({ ...crew, isDemo: true });
  const [shelf, places, soil, rules, list] = [
    productService(sequelize),
    siteService(sequelize),
    soilTestService(sequelize),
    ruleSetService(sequelize),
    jobService(sequelize),
  ];
  await load(crew.id, { model: ProductRow, schema: productWrite, service: shelf, rows: products });
  await load(crew.id, { model: SiteRow, schema: siteWrite, service: places, rows: sites });
  await load(crew.id, { model: SoilTestRow, schema: soilTestWrite, service: soil, rows: soilTests });
  await load(crew.id, { model: RuleSetRow, schema: ruleSetWrite, service: rules, rows: ruleSets });
  await load(crew.id, { model: JobRow, schema: jobWrite, service: list, rows: jobs });
  return crew.id;
}
