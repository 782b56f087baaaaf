import { blankSoilTest } from '@steady-scatter/core/need';
import { blankRuleSet } from '@steady-scatter/core/regulations';
import { blankProduct } from '@steady-scatter/core/products';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { DocumentRow } from './models/index.ts';
import { seedDemo } from './services/demo.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { writeOf } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const input = {
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
  const kept = await put(id, writeOf('products', input)).expect(200);
  expect(kept.body).toMatchObject({ id, version: 1, isSample: false, input });
  expect((await put(id, writeOf('products', input))).body.version).toBe(1);
  const row = await DocumentRow.findByPk(id);
  expect(row?.crewId).toBe(harness.crewId);
  const [line] = (await request(harness.app).get('/api/products?q=Liquid')).body.items;
  expect(line).toMatchObject({
    kind: 'liquid-fertilizer',
    packageSi: 10,
    priceCents: 2300,
  });
  const changed = { ...input, stock: '1' };
  expect((await put(id, writeOf('products', changed, 1))).body.version).toBe(2);
  const late = await put(id, writeOf('products', { ...input, stock: '7' }, 1)).expect(409);
  expect(late.body.theirs.input.stock).toBe('1');
});

it('deletes with undo, and shows a crew its own shelf only', async () => {
  const id = v7();
  await put(id, writeOf('products', input));
  const other = await harness.otherCrew();
  expect((await request(other).get('/api/products')).body).toEqual({ items: [], next: null, total: 0 });
  await request(other).get(`/api/products/${id}`).expect(404);
  await request(harness.app).delete(`/api/products/${id}`).expect(204);
  await request(harness.app).get(`/api/products/${id}`).expect(404);
  await request(harness.app).post(`/api/products/${id}/restore`).expect(200);
  expect(
    (await request(harness.app).get('/api/products')).body.items.map((one: { id: string }) => one.id),
  ).toContain(id);
});

it.each([
  [{ price: '-1' }, ['input', 'price'], 'price.unreadable'],
  [{ grade: '60-30-20' }, ['input', 'grade'], 'grade.over-100'],
  [{ density: { text: '', unit: 'kg/L' } }, ['input', 'density', 'text'], 'product.lacks-density'],
  [{ coverage: { size: '0', unit: 'm2' } }, ['input', 'coverage', 'size'], 'quantity.not-positive'],
  [{ name: '' }, ['input', 'name'], 'name.empty'],
  [{ notes: 'x'.repeat(5000) }, ['input', 'notes'], 'body.too_big'],
])('refuses %j at its field', async (wrong, path, code) => {
  const { status, body } = await put(v7(), writeOf('products', { ...input, ...wrong }));
  expect([status, body.errors[0].path, body.errors[0].code]).toEqual([400, path, code]);
});

it('loads the sample shelf and the sample jobs once, whatever was deleted since', async () => {
  const crewId = await seedDemo(harness.sequelize);
  const count = () => DocumentRow.count({ where: { crewId, kind: 'products', deletedAt: null } });
  const before = await count();
  expect(before).toBeGreaterThanOrEqual(10);
  const gone = await DocumentRow.findOne({ where: { crewId, kind: 'products' } });
  await gone!.update({ deletedAt: new Date() });
  await seedDemo(harness.sequelize);
  expect(await count()).toBe(before - 1);
});

it('takes many at once: all or none, twice without harm, and away again', async () => {
  const post = (path: string, body: object) => request(harness.app).post(path).send(body);
  const products = Array.from({ length: 500 }, (_, index) => ({
    id: v7(),
    input: { ...input, name: `Pail ${index}` },
  }));
  await post('/api/products/batch', { schemaVersion: 2, documents: products }).expect(204);
  await post('/api/products/batch', { schemaVersion: 2, documents: products }).expect(204);
  const ids = products.map(({ id }) => id);
  const there = () => DocumentRow.count({ where: { id: ids, deletedAt: null, crewId: harness.crewId } });
  expect(await there()).toBe(500);
  const wrong = [{ id: v7(), input }, { id: v7(), input: { ...input, price: '-3' } }]; // prettier-ignore
  const refused = await post('/api/products/batch', { schemaVersion: 2, documents: wrong }).expect(400);
  expect(refused.body.errors[0].path).toEqual(['documents', 1, 'input', 'price']);
  expect(await DocumentRow.findByPk(wrong[0]!.id)).toBeNull();
  const other = await harness.otherCrew();
  // What another crew has is told, not passed over.
  await request(other).post('/api/products/batch/delete').send({ ids }).expect(404);
  const own = { id: v7(), input };
  const taken = await request(other)
    .post('/api/products/batch')
    .send({ schemaVersion: 2, documents: [own, products[0]] })
    .expect(409);
  expect(taken.body.type).toBe('/problems/id-taken');
  expect(await DocumentRow.findByPk(own.id)).toBeNull();
  expect(await there()).toBe(500);
  await post('/api/products/batch/delete', { ids }).expect(204);
  expect(await there()).toBe(0);
});

it('keeps soil tests and sets of rules, SI beside them, and refuses what cannot be at its field', async () => {
  const soil = { ...blankSoilTest('kg/ha', '2026-03-02'), name: 'Pitch', needs: { N: '90', P2O5: '0', K2O: '', S: '' } }; // prettier-ignore
  const rules = { ...blankRuleSet('lb/1000 ft2', v7()), name: 'Town' };
  const write = (path: string, body: object) =>
    request(harness.app).put(`/api/${path}/${v7()}`).send(writeOf(path === 'rule-sets' ? 'ruleSets' : 'soilTests', body)); // prettier-ignore
  const kept = await write('soil-tests', soil).expect(200);
  const { items } = (await request(harness.app).get('/api/soil-tests').expect(200)).body;
  expect(items).toMatchObject([
    { id: kept.body.id, onDay: '2026-03-02', needs: ['90 N', '0 P₂O₅'], unit: 'kg/ha' },
  ]);
  const acid = await write('soil-tests', { ...soil, ph: '62' }).expect(400);
  expect(acid.body.errors[0]).toMatchObject({ path: ['input', 'ph'], code: 'ph.unreadable' });
  const empty = await write('rule-sets', rules).expect(400);
  expect(empty.body.errors[0].path).toEqual(['input', 'rules', 0, 'amount']);
  const one = { ...rules, rules: [{ ...rules.rules[0], amount: '1' }] };
  expect((await write('rule-sets', one).expect(200)).body.input).toEqual(one);
});
