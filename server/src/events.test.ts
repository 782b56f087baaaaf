import { EVENTS, type EventAppend, type StoredEvent } from '@steady-scatter/contract';
import { latestOf } from '@steady-scatter/core/fields';
import { aimOf, blankCalibration, type TestRunInput } from '@steady-scatter/core/testing';
import type { Express } from 'express';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { connectionFile } from '../../scripts/lib/database.mjs';
import { openArchive } from './backup/read.ts';
import { writeBackup } from './backup/write.ts';
import { readConnection } from './database.ts';
import { EventRow } from './models/index.ts';
import { eventService } from './services/events.ts';
import { databaseFolder, openHarness, type Harness } from './testing/harness.ts';

type Row = StoredEvent<TestRunInput>;
const PATH = '/api/test-runs';

let harness: Harness;
let app: Express;
let calibration: string;
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
});
afterAll(() => harness.close());

async function newCalibration(): Promise<string> {
  const id = v7();
  const input = {
    ...aimOf(blankCalibration('us')),
    name: 'Red spreader, lake feed',
    target: { amount: '3.3', unit: 'lb/1000 ft2' },
    width: { text: '9', unit: 'ft', by: 'chosen' },
  };
  await request(app).put(`/api/calibrations/${id}`).send({ version: 0, schemaVersion: 3, input }).expect(200);
  return id;
}
beforeEach(async () => {
  calibration = await newCalibration();
});

const run = (more: Partial<TestRunInput> = {}): TestRunInput => ({
  onDay: '2026-04-10',
  setting: '11',
  method: 'weigh-back',
  readings: { in: '48.00', left: '45.05', length: '100', time: '22.7' },
  earlier: [],
  width: null,
  container: '',
  checked: [],
  noFlow: false,
  excluded: '',
  note: '',
  units: { mass: 'lb', length: 'ft' },
  ...more,
});
const said = (more: Partial<EventAppend> = {}, input: object = run()): EventAppend => ({
  id: v7(),
  subject: calibration,
  first: null,
  occurredAt: '2026-04-10T09:00:00.000Z',
  schemaVersion: 1,
  input: input as EventAppend['input'],
  ...more,
});
const post = (body: unknown, on = app) =>
  request(on)
    .post(PATH)
    .send(body as object);
const rowsOf = async (subject: string): Promise<Row[]> =>
  (await request(app).get(PATH).query({ subject }).expect(200)).body.events;

describe('appending', () => {
  it('stores what was said, by whom, when it happened and when it came', async () => {
    const before = Date.now();
    const body = said();
    const { body: stored } = await post(body).expect(200);
    expect(stored).toMatchObject({
      id: body.id,
      subject: calibration,
      first: null,
      occurredAt: body.occurredAt,
      schemaVersion: 1,
      isSample: false,
      userId: null,
      deviceId: null,
      input: run(),
    });
    expect(Date.parse(stored.recordedAt)).toBeGreaterThanOrEqual(before);
    expect(await rowsOf(calibration)).toEqual([stored]);
  });

  it('is harmless twice, and a moment may be written in another way', async () => {
    const body = said();
    const { body: once } = await post(body).expect(200);
    const { body: twice } = await post({ ...body, occurredAt: '2026-04-10T09:00:00Z' }).expect(200);
    expect(twice).toEqual(once);
    expect(await rowsOf(calibration)).toHaveLength(1);
  });

  it('is harmless twice at the same moment', async () => {
    const body = said();
    const answers = await Promise.all(Array.from({ length: 8 }, () => post(body)));
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 200));
    expect(await rowsOf(calibration)).toHaveLength(1);
  });

  it('two phones at once both succeed', async () => {
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) => post(said({}, run({ setting: String(index) })))),
    );
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    expect(new Set((await rowsOf(calibration)).map(({ input }) => input.setting)).size).toBe(12);
  });

  it.each<[string, Partial<EventAppend>, object?]>([
    ['another reading', {}, run({ readings: { in: '48.00', left: '44.05', length: '100', time: '22.7' } })],
    ['another moment', { occurredAt: '2026-04-10T09:00:01.000Z' }],
    ['as a further row', { first: v7() }],
    ['what cannot be read', {}, { ...run(), method: 'by guess' }],
  ])('under an id that says something else, %s is refused', async (_, more, input) => {
    const body = said();
    await post(body).expect(200);
    const { body: problem } = await post({ ...said(more, input), id: body.id }).expect(409);
    expect(problem.type).toBe('/problems/id-taken');
    expect((await rowsOf(calibration))[0]!.input).toEqual(run());
  });

  it('an id of another calibration, or of another crew, is refused and tells nothing', async () => {
    const body = said();
    await post(body).expect(200);
    await post({ ...body, subject: await newCalibration() }).expect(409);
    const other = await harness.otherCrew();
    expect((await post(body, other).expect(409)).body).not.toHaveProperty('input');
    await post(said(), other).expect(404);
    expect((await request(other).get(PATH).query({ subject: calibration })).body.events).toEqual([]);
  });

  it('names who said it', async () => {
    const who = { userId: v7(), deviceId: v7() };
    const { id } = await eventService(harness.sequelize).append(
      { crewId: harness.crewId, role: 'crew', ...who },
      EVENTS.testRuns,
      said(),
    );
    expect((await rowsOf(calibration))[0]).toMatchObject({ id, ...who });
  });
});

describe('what is refused, and where', () => {
  const issues = async (body: unknown) =>
    ((await post(body).expect(400)).body.errors as { path: unknown[]; code: string; message: string }[]).map(
      ({ path, code }) => [path.join('.'), code],
    );

  it.each<[string, object, [string, string]]>([
    ['a day that is none', run({ onDay: '2026-02-30' }), ['input.onDay', 'date.unreadable']],
    [
      'a weight that is none',
      run({ readings: { in: 'some', left: '1', length: '9', time: '2' } }),
      ['input.readings.in', 'quantity.unreadable'],
    ],
    ['a field too many', { ...run(), colour: 'red' }, ['input.colour', 'body.unrecognized_keys']],
    [
      'a unit that is none',
      { ...run(), units: { mass: 'stone', length: 'ft' } },
      ['input.units.mass', 'body.custom'],
    ],
    ['another type', { ...run(), note: 5 }, ['input.note', 'body.invalid_type']],
  ])('%s', async (_, input, issue) => {
    expect(await issues(said({}, input))).toContainEqual(issue);
    expect(await rowsOf(calibration)).toEqual([]);
  });

  it('a field too few', async () => {
    const { units: _, ...less } = run();
    expect((await issues(said({}, less))).map(([path]) => path)).toContain('input.units');
  });

  it('next year, and itself said anew', async () => {
    const nextYear = `${new Date().getUTCFullYear() + 1}-04-10T09:00:00.000Z`;
    expect(await issues(said({ occurredAt: nextYear }))).toEqual([['occurredAt', 'event.future']]);
    const id = v7();
    expect(await issues(said({ id, first: id }))).toEqual([['first', 'event.itself']]);
  });

  it('a clock that runs a little ahead is none of it', async () => {
    await post(said({ occurredAt: new Date(Date.now() + 20 * 60_000).toISOString() })).expect(200);
  });

  it.each([
    ['no moment', { occurredAt: 'yesterday' }, 'occurredAt'],
    ['no id', { id: '7' }, 'id'],
    ['a head too many', { who: 'me' }, ''],
  ])('%s', async (_, more, path) => {
    expect((await issues({ ...said(), ...more })).map(([at]) => at)).toEqual([path]);
  });

  it('of a later version: it waits where it was typed', async () => {
    expect((await post(said({ schemaVersion: 99 })).expect(422)).body.type).toBe('/problems/later-version');
  });

  it('of a calibration that was deleted meanwhile, until it is restored; one that was told before is harmless', async () => {
    const before = said();
    await post(before).expect(200);
    await request(app).delete(`/api/calibrations/${calibration}`).expect(204);
    const { body: problem } = await post(said()).expect(409);
    expect(problem).toMatchObject({
      type: '/problems/subject-deleted',
      detail: expect.stringContaining('Restore it first'),
    });
    await post(before).expect(200);
    await request(app).post(`/api/calibrations/${calibration}/restore`).expect(200);
    await post(said()).expect(200);
    expect(await rowsOf(calibration)).toHaveLength(2);
  });

  it('what is no JSON, and what is of nothing', async () => {
    await request(app).post(PATH).type('json').send('{"id":').expect(400);
    await post(said({ subject: v7() })).expect(404);
  });
});

describe('reading', () => {
  it('a reading taken anew is a further row: what stands by now is made from all of them', async () => {
    const first = said();
    await post(first).expect(200);
    const anew = said(
      { first: first.id, occurredAt: '2026-04-10T09:05:00.000Z' },
      run({ excluded: 'gate was open' }),
    );
    await post(anew).expect(200);
    const rows = await rowsOf(calibration);
    expect(rows).toHaveLength(2);
    expect(latestOf(rows).map(({ input }) => input.excluded)).toEqual(['gate was open']);
  });

  it('is of several documents at once, and of none of another crew', async () => {
    const other = await newCalibration();
    const [mine, theirs] = [said(), said({ subject: other })];
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    for (const body of [mine, theirs, said({ subject: await newCalibration() })])
      await post(body).expect(200);
    const asked = (on: Express) =>
      request(on)
        .get(PATH)
        .query({ subject: `${calibration},${other}` });
    expect((await asked(app).expect(200)).body.events.map(({ id }: Row) => id)).toEqual([mine.id, theirs.id]);
    expect((await asked(await harness.otherCrew()).expect(200)).body.events).toEqual([]);
    await request(app)
      .get(PATH)
      .query({ subject: `${calibration},x` })
      .expect(400);
    await request(app).get(PATH).query({ subject: Array.from({ length: 101 }, () => v7()).join() }).expect(400); // prettier-ignore
  });

  it('a row names none of another calibration as the one that it says anew', async () => {
    const there = said({ subject: await newCalibration() });
    await post(there).expect(200);
    const answer = await post(said({ first: there.id })).expect(400);
    expect(answer.body.errors[0]).toMatchObject({ path: ['first'], code: 'event.other' });
    await post(said({ first: v7() })).expect(200);
  });

  it('is page after page, in the order in which they came', async () => {
    const settings = ['5', '6', '7', '8', '9'];
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    for (const setting of settings) await post(said({}, run({ setting }))).expect(200);
    const seen: string[] = [];
    let after: string | undefined;
    do {
      // oxlint-disable-next-line no-await-in-loop -- as above
      const { body } = await request(app)
        .get(PATH)
        .query({ subject: calibration, limit: 2, ...(after && { after }) })
        .expect(200);
      seen.push(...(body.events as Row[]).map(({ input }) => input.setting));
      after = body.next ?? undefined;
    } while (after !== undefined);
    expect(seen).toEqual(settings);
  });

  it.each([
    { limit: 0 },
    { limit: -1 },
    { limit: 10_000 },
    { after: 'x' },
    { subject: 'x' },
    { colour: 'red' },
  ])('refuses %o', async (query) => {
    await request(app).get(PATH).query(query).expect(400);
  });

  it('one that cannot be read is named, and hides none of the others', async () => {
    await post(said()).expect(200);
    const torn = {
      id: v7(),
      crewId: harness.crewId,
      kind: 'testRuns',
      subjectId: calibration,
      firstId: null,
      occurredAt: new Date(),
      recordedAt: new Date(),
      isSample: false,
      byUser: null,
      byDevice: null,
    };
    await EventRow.create({ ...torn, schemaVersion: 1, input: '{"onDay":' });
    await EventRow.create({ ...torn, id: v7(), schemaVersion: 99, input: JSON.stringify(run()) });
    await post(said({}, run({ setting: '12' }))).expect(200);
    const { body } = await request(app).get(PATH).query({ subject: calibration });
    expect((body.events as Row[]).map(({ input }) => input.setting)).toEqual(['11', '12']);
    expect(body.unreadable).toHaveLength(2);
  });
});

describe('what was said stays', () => {
  it.each([
    ["UPDATE events SET input = '{}'", 'changed'],
    ['DELETE FROM events', 'deleted'],
  ])('%s is refused by the database', async (sql) => {
    await post(said()).expect(200);
    await expect(harness.sequelize.query(sql)).rejects.toThrow('is never changed');
    expect((await rowsOf(calibration))[0]!.input).toEqual(run());
  });

  it('is in the archive as it stands', async () => {
    const body = said();
    await post(body).expect(200);
    const folder = mkdtempSync(join(tmpdir(), 'steady-events-'));
    const file = join(folder, 'all.zip');
    await writeBackup(readConnection(connectionFile(databaseFolder())), file);
    const archive = await openArchive(file);
    const rows: Record<string, unknown>[] = [];
    for await (const row of archive.rowsOf('events')) rows.push(row);
    archive.close();
    rmSync(folder, { recursive: true });
    expect(rows.find(({ id }) => id === body.id)).toMatchObject({
      kind: 'testRuns',
      subjectId: calibration,
      input: run(),
    });
  });
});
