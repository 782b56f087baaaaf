import { jobWrite, productWrite } from '@steady-scatter/contract';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { CrewRow, ProductRow } from '../models/index.ts';
import { jobService } from './jobs.ts';
import { productService } from './products.ts';

const row = z.intersection(z.object({ id: z.uuid() }), z.record(z.string(), z.unknown()));
const demoShape = z.object({
  crew: z.object({ id: z.uuid(), name: z.string() }),
  jobs: z.array(row),
  products: z.array(row),
});

/**
 * Loads Tarn Hollow through the same checks as any write, and answers the id of its crew. Each shelf of things is
 * loaded once: one that came with a later version is added to a database of an earlier one, and what somebody deleted
 * stays deleted.
 */
export async function seedDemo(sequelize: Sequelize): Promise<string> {
  const { crew, jobs, products } = demoShape.parse(demo);
  const isNew = (await CrewRow.findByPk(crew.id)) === null;
  if (isNew) await CrewRow.create({ ...crew, isDemo: true });
  const onShelf = productService(sequelize);
  const onList = jobService(sequelize);
  // One after the other, so that the order is the same on every machine.
  /* oxlint-disable no-await-in-loop */
  if ((await ProductRow.count({ where: { crewId: crew.id } })) === 0) {
    for (const { id, ...rest } of products) {
      await onShelf.write(crew.id, id, productWrite.parse({ version: 0, ...rest }), true);
    }
  }
  if (isNew) {
    for (const { id, ...rest } of jobs)
      await onList.write(crew.id, id, jobWrite.parse({ version: 0, ...rest }), true);
  }
  /* oxlint-enable no-await-in-loop */
  return crew.id;
}
