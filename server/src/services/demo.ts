import { jobWrite } from '@steady-scatter/contract';
import * as z from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { CrewRow } from '../models/index.ts';
import type { JobService } from './jobs.ts';

const demoShape = z.object({
  crew: z.object({ id: z.uuid(), name: z.string() }),
  jobs: z.array(z.intersection(z.object({ id: z.uuid() }), z.record(z.string(), z.unknown()))),
});

/** Loads Tarn Hollow once, through the same checks as any write, and answers the id of its crew. */
export async function seedDemo(jobs: JobService): Promise<string> {
  const { crew, jobs: sampleJobs } = demoShape.parse(demo);
  if (await CrewRow.findByPk(crew.id)) return crew.id;
  await CrewRow.create({ ...crew, isDemo: true });
  for (const { id, ...rest } of sampleJobs) {
    // oxlint-disable-next-line no-await-in-loop -- in order, so that the list is the same on every machine
    await jobs.write(crew.id, id, jobWrite.parse({ version: 0, ...rest }), true);
  }
  return crew.id;
}
