import { KIND_NAMES, type KindName } from '@steady-scatter/contract';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { leadOf, type Actor } from '../actor.ts';
import { checkRead } from '../checking/check.ts';
import { kindNamed } from '../checking/stored.ts';
import { CrewRow, DocumentRow } from '../models/index.ts';
import { insertAll } from './documents.ts';

const rows = z.array(z.object({ id: z.uuid(), input: z.record(z.string(), z.unknown()) }));
const demoShape = z
  .object({
    crew: z.object({ id: z.uuid(), name: z.string() }),
    schemaVersions: z.record(z.string(), z.int()),
  })
  .catchall(z.unknown());

/** All of it or none: a start that is killed meanwhile leaves no half of a shelf behind, which would count as one that was loaded. */
async function load(sequelize: Sequelize, actor: Actor, name: KindName): Promise<void> {
  const { schemaVersions, ...of } = demoShape.parse(demo);
  const documents = rows.parse(of[name]);
  const { crewId } = actor;
  if ((await DocumentRow.count({ where: { crewId, kind: name } })) > 0) return;
  const checked = checkRead(
    { kind: name, verb: 'addMany' },
    { schemaVersion: schemaVersions[name], documents },
  );
  const kind = kindNamed(name);
  await sequelize.transaction((transaction) =>
    insertAll({ sequelize, actor, kind, isSample: true }, checked.documents, transaction),
  );
}

/**
 * Loads Tarn Hollow through the same checks as any write, and answers the id of its crew. Each shelf of things is
 * loaded once: one that came with a later version is added to a database of an earlier one, and what somebody deleted
 * stays deleted.
 */
export async function seedDemo(sequelize: Sequelize): Promise<string> {
  const { crew } = demoShape.parse(demo);
  if ((await CrewRow.findByPk(crew.id)) === null) await CrewRow.create({ ...crew, isDemo: true });
  // oxlint-disable-next-line no-await-in-loop -- what is chosen from stands before what chooses
  for (const name of KIND_NAMES) await load(sequelize, leadOf(crew.id), name);
  return crew.id;
}
