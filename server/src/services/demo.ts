import {
  EVENT_NAMES,
  eventAppend,
  EVENTS,
  KIND_NAMES,
  readInput,
  type EventKind,
  type KindName,
} from '@steady-scatter/contract';
import type { Sequelize, Transaction } from 'sequelize';
import { z } from 'zod';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { leadOf, type Actor } from '../actor.ts';
import { checkRead } from '../checking/check.ts';
import { kindNamed } from '../checking/stored.ts';
import { CrewRow, DocumentRow, EventRow } from '../models/index.ts';
import { photoService } from '../photos/photos.ts';
import { putApplied } from './applied.ts';
import { insertAll } from './documents.ts';

const rows = z.array(z.object({ id: z.uuid(), input: z.record(z.string(), z.unknown()) }));
const appended = z.array(eventAppend.omit({ schemaVersion: true }));
const NO_ERRORS = () => ({ errors: [] });
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
  if (documents.length === 0) return;
  if ((await DocumentRow.count({ where: { crewId, kind: name } })) > 0) return;
  const checked = checkRead(
    { kind: name, verb: 'addMany' },
    { schemaVersion: schemaVersions[name], documents },
  );
  const kind = kindNamed(name);
  await sequelize.transaction(async (transaction) => {
    await insertAll({ sequelize, actor, kind, isSample: true }, checked.documents, transaction);
    for (const event of EVENT_NAMES.map((each) => EVENTS[each] as EventKind))
      if (event.subjects.includes(name))
        // oxlint-disable-next-line no-await-in-loop -- one kind after the other
        await loadEvents(
          actor,
          event,
          schemaVersions[event.name] ?? 1,
          appended.parse(of[event.name]).filter(({ subject }) => documents.some(({ id }) => id === subject)),
          transaction,
        );
  });
}

/** What was measured or done for documents of the demo, as it was typed then. */
async function loadEvents({ crewId }: Actor, event: EventKind, schemaVersion: number, all: z.output<typeof appended>, transaction: Transaction): Promise<void> {
  const row = ({ id, subject, first, occurredAt, input }: (typeof all)[number]) => ({
    id,
    crewId,
    kind: event.name,
    subjectId: subject,
    firstId: first,
    occurredAt: new Date(occurredAt),
    recordedAt: new Date(),
    schemaVersion,
    isSample: true,
    input: JSON.stringify(readInput({ ...event, evaluate: NO_ERRORS }, { schemaVersion, input })),
    byUser: null,
    byDevice: null,
  });
  const made = all.map(row);
  await EventRow.bulkCreate(made, { transaction });
  if (event.name !== EVENTS.applications.name) return;
  // oxlint-disable-next-line no-await-in-loop -- one after the other
  for (const root of new Set(made.map(({ id, firstId }) => firstId ?? id))) await putApplied(crewId, root, transaction);
} // prettier-ignore

const pictures = z.array(z.object({ id: z.uuid(), picture: z.string() }));

/** Photos of the demo, each looked at and cleaned as any other that comes. */
async function loadPhotos(sequelize: Sequelize, actor: Actor): Promise<void> {
  const photos = photoService(sequelize);
  for (const { id, picture } of pictures.parse(demoShape.parse(demo)['photos'])) {
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    await photos.add(actor, id, Buffer.from(picture, 'base64'));
  }
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
  await loadPhotos(sequelize, leadOf(crew.id));
  return crew.id;
}
