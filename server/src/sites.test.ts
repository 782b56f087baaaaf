import { blankEdge, blankPart, blankSite, type SiteAreaInput } from '@steady-scatter/core/ground';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { DocumentRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleWrite, writeOf } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const blank = blankSite(v7(), 'metric');
const area: SiteAreaInput = {
  ...blank.areas[0]!,
  name: 'Bank',
  parts: [{ ...blankPart('rectangle', 'm', 'a'), lengths: ['20', '10'] }],
  edges: [{ ...blankEdge('e', 'm'), along: 'side', from: '1', to: '2', buffer: '3' }],
};
const input = { ...blank, name: 'Lake front', areas: [area] };
const put = (id: string, body: object) => request(harness.app).put(`/api/sites/${id}`).send(body);

it('keeps a site as typed, with what it measures beside it', async () => {
  const id = v7();
  const kept = await put(id, writeOf('sites', input)).expect(200);
  expect(kept.body).toMatchObject({ id, version: 1, input });
  expect((await DocumentRow.findByPk(id))?.crewId).toBe(harness.crewId);
  const [line] = (await request(harness.app).get('/api/sites')).body.items;
  expect(line).toMatchObject({
    name: 'Lake front',
    areaNames: ['Bank'],
    treatableM2: expect.closeTo(140, 3),
    areaUnit: 'm2',
  });
  const other = await harness.otherCrew();
  await request(other).get(`/api/sites/${id}`).expect(404);
});

it('takes a surveyed boundary of a thousand corners', async () => {
  const edge = Array.from({ length: 1000 }, (_, index) => {
    const angle = (index / 1000) * 2 * Math.PI;
    return [Math.round(1e5 * Math.cos(angle)) / 1000, Math.round(1e5 * Math.sin(angle)) / 1000];
  });
  const part = { id: 'b', kind: 'boundary', cut: false, outlines: [edge], from: 'walk.gpx', off: '3 m', unit: 'm', at: { x: 0, y: 0, turn: 0 } }; // prettier-ignore
  const many = Array.from({ length: 40 }, () => ({ ...area, id: v7(), parts: [part], edges: [] }));
  await put(v7(), writeOf('sites', { ...input, areas: many })).expect(200);
});

it.each([
  [{ name: '' }, ['input', 'name'], 'name.empty'],
  [{ place: { lat: '100', lon: '3' } }, ['input', 'place', 'lat'], 'place.range'],
  [{ areas: [{ ...area, parts: [{ ...blankPart('three-sides', 'm', 'a'), lengths: ['3', '4', '9'] }] }] }, ['input', 'areas', 0, 'parts', 0], 'shape.triangle'],
  [{ areas: [{ ...area, edges: [{ ...blankEdge('e', 'm'), along: 'side', from: '1', to: '9' }] }] }, ['input', 'areas', 0, 'edges', 0, 'to'], 'edge.corner'],
])('refuses %j at its field', async (more, path, code) => {
  const answer = await put(v7(), writeOf('sites', { ...input, ...more })).expect(400);
  expect(answer.body.errors[0]).toMatchObject({ path, code });
}); // prettier-ignore

it('a job remembers which area it was, with the size of that day', async () => {
  const site = v7();
  await put(site, writeOf('sites', input)).expect(200);
  const id = v7();
  const areas = [{ id: v7(), name: 'Bank', size: '140 m² ±4.2 %', unit: 'm2' as const, from: { site, area: area.id } }]; // prettier-ignore
  const kept = await request(harness.app).put(`/api/jobs/${id}`).send(sampleWrite({}, { areas })).expect(200);
  expect(kept.body.input.worksheet.areas).toEqual(areas);
  await request(harness.app).delete(`/api/sites/${site}`).expect(204);
  const after = await request(harness.app).get(`/api/jobs/${id}`).expect(200);
  expect(after.body.input.worksheet.areas).toEqual(areas);
});
