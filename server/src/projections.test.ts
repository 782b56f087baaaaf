import { KIND_NAMES, KINDS } from '@steady-scatter/contract';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import demo from '../../demo/tarn-hollow.json' with { type: 'json' };
import { kindNamed } from './checking/stored.ts';
import { LinkRow, ProjectionRow } from './models/index.ts';
import { summaryModel, tableOf } from './models/summaries.ts';
import { projectAll } from './services/projections.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { writeOf } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

/** Numbers from 0 to 1 that are the same each time. */
function numbersFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31;
    return state / 2 ** 31;
  };
}

/** Every line and every link of the crew, as they stand. */
async function lists() {
  const lines = await Promise.all(
    KIND_NAMES.map(async (name) => {
      const rows = await summaryModel(harness.sequelize, kindNamed(name)).findAll({ where: { crewId: harness.crewId }, order: [['id', 'ASC']], raw: true }); // prettier-ignore
      return [name, rows] as const;
    }),
  );
  const ids = lines.flatMap(([, rows]) => rows.map((row) => (row as unknown as { id: string }).id));
  const links = await LinkRow.findAll({ where: { fromId: ids }, order: [['fromId', 'ASC'], ['toId', 'ASC']], raw: true }); // prettier-ignore
  return { lines: Object.fromEntries(lines), links };
}

it('whatever was stored, changed, deleted and restored: the lists are those that would be made from nothing', async () => {
  const draw = numbersFrom(20_261_126);
  const pick = <Item>(items: readonly Item[]): Item => items[Math.floor(draw() * items.length)]!;
  const { app } = harness;
  const known: { name: (typeof KIND_NAMES)[number]; id: string; version: number }[] = [];
  const store = async () => {
    const name = pick(KIND_NAMES);
    const { input } = pick<{ input: object }>(demo[name]);
    const id = v7();
    const { status, body } = await request(app).put(`${KINDS[name].path}/${id}`).send(writeOf(name, input));
    expect(status).toBe(200);
    known.push({ name, id, version: body.version });
  };
  const change = async () => {
    const one = pick(known);
    const { input } = pick<{ input: object }>(demo[one.name]);
    const said = 'name' in input ? 'name' : 'note';
    const { status, body } = await request(app).put(`${KINDS[one.name].path}/${one.id}`).send(writeOf(one.name, { ...input, [said]: `Changed ${Math.floor(draw() * 100)}` }, one.version)); // prettier-ignore
    // One that is deleted just now, or whose runs would be lost, stays as it is.
    expect([200, 409, 422]).toContain(status);
    if (status === 200) one.version = body.version;
  };
  const remove = () => {
    const { name, id } = pick(known);
    return request(app).delete(`${KINDS[name].path}/${id}`).expect(204);
  };
  const restore = () => {
    const { name, id } = pick(known);
    return request(app).post(`${KINDS[name].path}/${id}/restore`).expect(200);
  };
  const many = async () => {
    const name = pick(KIND_NAMES);
    const documents = [1, 2, 3].map(() => ({ id: v7(), input: pick<{ input: object }>(demo[name]).input }));
    await request(app).post(`${KINDS[name].path}/batch`).send({ schemaVersion: KINDS[name].schemaVersion, documents }).expect(204); // prettier-ignore
    await request(app)
      .post(`${KINDS[name].path}/batch/delete`)
      .send({ ids: [documents[0]!.id] })
      .expect(204);
    known.push(...documents.slice(1).map(({ id }) => ({ name, id, version: 1 })));
  };
  for (let step = 0; step < 6; step += 1) await store();
  for (let step = 0; step < 90; step += 1) await pick([store, change, change, remove, restore, many])();

  const before = await lists();
  expect(before.links.length).toBeGreaterThan(5);
  await projectAll(harness.sequelize, v7());
  expect(await lists()).toEqual(before);
}, 60_000);

it('a making that was broken off is begun again at the next start', async () => {
  const { sequelize } = harness;
  const program = v7();
  await projectAll(sequelize, program);
  const whole = await lists();
  // Killed while the list of products was being made: it is half there, and nothing says that it is whole.
  await ProjectionRow.destroy({ where: { kind: 'products' } });
  await sequelize.query(`DELETE FROM ${tableOf(KINDS.products)} WHERE crewId = '${harness.crewId}' LIMIT 2`);
  await projectAll(sequelize, program);
  expect(await lists()).toEqual(whole);
  // Killed before its table was there.
  await ProjectionRow.destroy({ where: { kind: 'products' } });
  await sequelize.query(`DROP TABLE ${tableOf(KINDS.products)}`);
  await projectAll(sequelize, program);
  expect(await lists()).toEqual(whole);
});
