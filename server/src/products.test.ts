import { blankProduct } from '@steady-scatter/core';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ProductRow } from './models/index.ts';
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
  expect(await ProductRow.findByPk(id)).toMatchObject({
    crewId: harness.crewId,
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
