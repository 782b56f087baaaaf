import { blankSoilTest } from '@steady-scatter/core/need';
import { blankRuleSet } from '@steady-scatter/core/season';
import { blankProduct } from '@steady-scatter/core/shelf';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ProductRow, SoilTestRow } from './models/index.ts';
import { seedDemo } from './services/demo.ts';
import { openHarness, type Harness } from './testing/harness.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const typed = {
  ...blankProduct('liquid-fertilizer', 'metric'),
  name: 'Liquid 28',
  grade: '28-0-0',
  density: { text: '1.28', unit: 'kg/L' },
  package: { size: '10', unit: 'L' },
  price: '23.00',
  stock: '2½',
};
const put = (id: string, body: object) => request(harness.app).put(`/api/products/${id}`).send(body);

it('keeps a label as typed, with SI beside it; again without harm; an old version is refused', async () => {
  const id = v7();
  const kept = await put(id, { version: 0, typed }).expect(200);
  expect(kept.body).toMatchObject({ id, version: 1, isSample: false, typed });
  expect((await put(id, { version: 0, typed })).body.version).toBe(1);
  const row = await ProductRow.findByPk(id);
  expect(row?.crewId).toBe(harness.crewId);
  expect(JSON.parse(row?.si ?? '')).toEqual({
    packageSi: 10,
    densityKgPerL: 1.28,
    priceCents: 2300,
    stockPackages: 2.5,
  });
  const changed = { ...typed, stock: '1' };
  expect((await put(id, { version: 1, typed: changed })).body.version).toBe(2);
  const late = await put(id, { version: 1, typed: { ...typed, stock: '7' } }).expect(409);
  expect(late.body.theirs.typed.stock).toBe('1');
});

it('deletes with undo, and shows a crew its own shelf only', async () => {
  const id = v7();
  await put(id, { version: 0, typed });
  const other = await harness.otherCrew();
  expect((await request(other).get('/api/products')).body).toEqual([]);
  await request(other).get(`/api/products/${id}`).expect(404);
  await request(harness.app).delete(`/api/products/${id}`).expect(204);
  await request(harness.app).get(`/api/products/${id}`).expect(404);
  await request(harness.app).post(`/api/products/${id}/restore`).expect(200);
  expect(
    (await request(harness.app).get('/api/products')).body.map((one: { id: string }) => one.id),
  ).toContain(id);
});

it.each([
  [{ price: '-1' }, ['typed', 'price'], 'price.unreadable'],
  [{ grade: '60-30-20' }, ['typed', 'grade'], 'grade.over-100'],
  [{ density: { text: '', unit: 'kg/L' } }, ['typed', 'density', 'text'], 'product.lacks-density'],
  [{ coverage: { size: '0', unit: 'm2' } }, ['typed', 'coverage', 'size'], 'quantity.not-positive'],
  [{ name: '' }, ['typed', 'name'], 'name.empty'],
  [{ notes: 'x'.repeat(5000) }, ['typed', 'notes'], 'body.too_big'],
])('refuses %j at its field', async (wrong, path, code) => {
  const { status, body } = await put(v7(), { version: 0, typed: { ...typed, ...wrong } });
  expect([status, body.errors[0].path, body.errors[0].code]).toEqual([400, path, code]);
});

it('loads the sample shelf and the sample jobs once, whatever was deleted since', async () => {
  const crewId = await seedDemo(harness.sequelize);
  const count = () => ProductRow.count({ where: { crewId, deletedAt: null } });
  const before = await count();
  expect(before).toBeGreaterThanOrEqual(10);
  await ProductRow.update({ deletedAt: new Date() }, { where: { crewId, name: 'Potash 0-0-50 S' } });
  await seedDemo(harness.sequelize);
  expect(await count()).toBe(before - 1);
});

it('takes many at once: all or none, twice without harm, and away again', async () => {
  const post = (path: string, body: object) => request(harness.app).post(path).send(body);
  const products = Array.from({ length: 500 }, (_, at) => ({
    id: v7(),
    typed: { ...typed, name: `Pail ${at}` },
  }));
  await post('/api/products/batch', { products }).expect(204);
  await post('/api/products/batch', { products }).expect(204);
  const ids = products.map(({ id }) => id);
  const there = () => ProductRow.count({ where: { id: ids, deletedAt: null, crewId: harness.crewId } });
  expect(await there()).toBe(500);
  const wrong = [{ id: v7(), typed }, { id: v7(), typed: { ...typed, price: '-3' } }]; // prettier-ignore
  const refused = await post('/api/products/batch', { products: wrong }).expect(400);
  expect(refused.body.errors[0].path).toEqual(['products', 1, 'typed', 'price']);
  expect(await ProductRow.findByPk(wrong[0]!.id)).toBeNull();
  const other = await harness.otherCrew();
  // What another crew has is told, not passed over.
  await request(other).post('/api/products/batch/delete').send({ ids }).expect(404);
  const own = { id: v7(), typed };
  const taken = await request(other)
    .post('/api/products/batch')
    .send({ products: [own, products[0]] })
    .expect(409);
  expect(taken.body.type).toBe('/problems/id-taken');
  expect(await ProductRow.findByPk(own.id)).toBeNull();
  expect(await there()).toBe(500);
  await post('/api/products/batch/delete', { ids }).expect(204);
  expect(await there()).toBe(0);
});

it('keeps soil tests and sets of rules, SI beside them, and refuses what cannot be at its field', async () => {
  const soil = { ...blankSoilTest('kg/ha', '2026-03-02'), name: 'Pitch', needs: { N: '90', P2O5: '0', K2O: '', S: '' } }; // prettier-ignore
  const rules = { ...blankRuleSet('lb/1000 ft2', v7()), name: 'Town' };
  const write = (path: string, body: object) =>
    request(harness.app).put(`/api/${path}/${v7()}`).send({ version: 0, typed: body });
  const kept = await write('soil-tests', soil).expect(200);
  const row = await SoilTestRow.findByPk(kept.body.id);
  expect(JSON.parse(row?.si ?? '')).toEqual([
    { nutrient: 'N', kgPerM2: expect.closeTo(0.009, 12) },
    { nutrient: 'P2O5', kgPerM2: 0 },
  ]);
  const acid = await write('soil-tests', { ...soil, ph: '62' }).expect(400);
  expect(acid.body.errors[0]).toMatchObject({ path: ['typed', 'ph'], code: 'ph.unreadable' });
  const empty = await write('rule-sets', rules).expect(400);
  expect(empty.body.errors[0].path).toEqual(['typed', 'rules', 0, 'amount']);
  const one = { ...rules, rules: [{ ...rules.rules[0], amount: '1' }] };
  expect((await write('rule-sets', one).expect(200)).body.typed).toEqual(one);
});
