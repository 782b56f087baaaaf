import { EVENTS, type StoredEvent } from '@steady-scatter/contract';
import { blankApplication, blankStorm, blankWinter, doneRows, roundsOf, saltOf, type ApplicationInput } from '@steady-scatter/core/season'; // prettier-ignore
import { blankGuide } from '@steady-scatter/core/winter';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openHarness, type Harness } from './testing/harness.ts';
import { writeOf, sampleJob } from './testing/jobs.ts';

type Row = StoredEvent<ApplicationInput>;

let harness: Harness;
let app: Express;
let storm: string;
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
});
afterAll(() => harness.close());

const put = (path: string, body: object, on = app) => request(on).put(path).send(body);
beforeEach(async () => {
  storm = v7();
  const input = { ...blankStorm(), name: 'New Year ice', fromDay: '2026-12-31' };
  await put(`/api/storms/${storm}`, writeOf('storms', input)).expect(200);
});

const RUN = v7();
const round = (more: Partial<ApplicationInput> = {}): ApplicationInput => {
  const blank = blankApplication('us');
  return {
    ...blank,
    runId: RUN,
    round: '1',
    areaName: 'Church lot',
    size: { text: '9000', unit: 'ft2' },
    product: { ...blank.product, name: 'Rock salt', deicer: { ...blank.product.deicer, salt: 'sodium-chloride' } },
    amount: { text: '27', unit: 'lb', from: 'planned' },
    ...more,
  };
}; // prettier-ignore
const rowOf = (input: ApplicationInput, more: object = {}) => ({ id: v7(), subject: storm, first: null, occurredAt: '2026-01-01T03:00:00.000Z', schemaVersion: EVENTS.applications.schemaVersion, input, ...more }); // prettier-ignore
const append = (body: object, on = app) => request(on).post('/api/applications').send(body);
const rows = async (): Promise<Row[]> => (await request(app).get('/api/applications').query({ subject: storm }).expect(200)).body.events; // prettier-ignore
const paths = ({ body }: { body: { errors: { path: string[]; code: string }[] } }) => body.errors.map(({ path, code }) => [path.join('.'), code]); // prettier-ignore

describe('a round', () => {
  it('is stored as it was done, and appending it twice is harmless', async () => {
    const body = rowOf(round());
    const { body: once } = await append(body).expect(200);
    expect(once).toMatchObject({ id: body.id, subject: storm, input: round() });
    expect((await append(body).expect(200)).body).toEqual(once);
    expect(await rows()).toEqual([once]);
  });

  it('another one under the same id is refused, and nothing changes', async () => {
    const body = rowOf(round());
    await append(body).expect(200);
    const other = { ...body, input: round({ areaName: 'School lot' }) };
    expect((await append(other).expect(409)).body.type).toBe('/problems/id-taken');
    expect((await rows()).map(({ input }) => input.areaName)).toEqual(['Church lot']);
  });

  it.each<[string, Partial<ApplicationInput>, [string, string]]>([
    ['more swept up than went out', { swept: { text: '30', unit: 'lb', to: 'reused' } }, ['input.swept.text', 'application.swept']], // prettier-ignore
    ['less than nothing', { amount: { text: '-3', unit: 'lb', from: 'weighed' } }, ['input.amount.text', 'quantity.not-positive']], // prettier-ignore
    ['no area', { areaName: ' ' }, ['input.areaName', 'area-name.empty']],
    ['pavement of another unit', { weather: { ...blankApplication('us').weather, unit: 'degC', pavement: '25' } }, ['input.weather.pavement', 'pavement.slip']], // prettier-ignore
  ])('with %s is not stored, and says where', async (_, more, wrong) => {
    const answer = await append(rowOf(round(more))).expect(400);
    expect(paths(answer)).toEqual([wrong]);
    expect(await rows()).toEqual([]);
  });

  it('of a kind of product that there is none, or of a run that is none, is refused by its shape', async () => {
    const odd = { ...round(), product: { ...round().product, kind: 'gravel' }, runId: 'one' };
    const answer = await append(rowOf(odd as unknown as ApplicationInput)).expect(400);
    expect(new Set(paths(answer).map(([path]) => path))).toEqual(new Set(['input.product.kind', 'input.runId'])); // prettier-ignore
  });

  it('two people on one round are both in it, in whatever order their rows come', async () => {
    await append(rowOf(round({ areaName: 'Ramp', by: 'Bo', runId: v7() }), { occurredAt: '2026-01-01T03:20:00.000Z' })).expect(200); // prettier-ignore
    await append(rowOf(round({ by: 'Ada' }))).expect(200);
    const [one, ...others] = roundsOf(doneRows(await rows()));
    expect(others).toEqual([]);
    expect(one!.rows.map(({ input }) => input.by)).toEqual(['Ada', 'Bo']);
  });

  it('is corrected and made void by further rows, and the first ones stay', async () => {
    const first = rowOf(round());
    await append(first).expect(200);
    const corrected = { amount: { text: '20', unit: 'lb', from: 'weighed' }, correction: 'Weighed' } as const;
    await append(rowOf(round(corrected), { first: first.id, occurredAt: '2026-01-01T04:00:00.000Z' })).expect(200); // prettier-ignore
    const salt = async () => saltOf(doneRows(await rows()).map((row) => ({ id: row.root, subject: row.subject, onDay: '2026-01-01', input: row.input }))); // prettier-ignore
    expect((await salt()).saltKg).toBeCloseTo(20 * 0.45359237, 9);
    await append(rowOf(round({ void: 'Not done', correction: 'Not done' }), { first: first.id, occurredAt: '2026-01-01T05:00:00.000Z' })).expect(200); // prettier-ignore
    expect(await salt()).toMatchObject({ rounds: 0, saltKg: 0 });
    expect(await rows()).toHaveLength(3);
  });

  it('of another storm cannot be corrected here', async () => {
    const first = rowOf(round());
    await append(first).expect(200);
    const elsewhere = v7();
    await put(`/api/storms/${elsewhere}`, writeOf('storms', { ...blankStorm(), name: 'Other', fromDay: '2026-12-31' })).expect(200); // prettier-ignore
    const answer = await append(rowOf(round(), { subject: elsewhere, first: first.id })).expect(400);
    expect(paths(answer)).toEqual([['first', 'event.other']]);
  });

  it('another crew neither sees nor adds to', async () => {
    await append(rowOf(round())).expect(200);
    const other = await harness.otherCrew();
    const seen = await request(other).get('/api/applications').query({ subject: storm }).expect(200);
    expect(seen.body.events).toEqual([]);
    await append(rowOf(round()), other).expect(404);
  });

  it('of a storm that was archived is told as that', async () => {
    await request(app).delete(`/api/storms/${storm}`).expect(204);
    expect((await append(rowOf(round())).expect(409)).body.type).toBe('/problems/subject-deleted');
  });
});

describe('what a winter is worked by', () => {
  it('a guide with an unreadable line is not stored, and the line is named', async () => {
    const blank = blankGuide('us', ['v', 'a'], '2026-11-01');
    const [version] = blank.versions;
    const lines = [
      { ...version!.lines[0]!, situation: 'Frost', cold: '28', warm: '23', low: '2', high: '4' },
    ];
    const input = { ...blank, name: 'Town', versions: [{ ...version!, lines }] };
    const answer = await put(`/api/guides/${v7()}`, writeOf('guides', input)).expect(400);
    expect(paths(answer)).toEqual([['input.versions.0.lines.0.cold', 'guide.band']]);
  });

  it('lists say of a guide its last version, of a winter its goal in kg', async () => {
    const blank = blankGuide('us', ['v', 'a'], '2025-11-01');
    const [version] = blank.versions;
    const lines = [{ ...version!.lines[0]!, situation: 'Frost', low: '2', high: '4' }];
    const versions = [
      { ...version!, lines: [] },
      { ...version!, id: 'w', fromDay: '2026-11-01', lines },
    ];
    await put(`/api/guides/${v7()}`, writeOf('guides', { ...blank, name: 'Listed guide', versions })).expect(200); // prettier-ignore
    const guides = await request(app).get('/api/guides').query({ q: 'Listed guide' }).expect(200);
    expect(guides.body.items).toMatchObject([{ fromDay: '2026-11-01', lines: 1, versions: 2 }]);
    // A guide is found by the situations that it names.
    expect((await request(app).get('/api/guides').query({ q: 'frost' }).expect(200)).body.items).toHaveLength(1); // prettier-ignore
    const winter = { ...blankWinter('us'), name: 'Listed winter', fromDay: '2026-11-01', toDay: '2027-04-15', goal: { text: '1', unit: 'ton' } }; // prettier-ignore
    await put(`/api/winters/${v7()}`, writeOf('winters', winter)).expect(200);
    const winters = await request(app).get('/api/winters').query({ q: 'Listed winter' }).expect(200);
    expect(winters.body.items[0].goalKg).toBeCloseTo(907.18474, 5);
  });

  it('a storm over New Year is stored, one that ends before it begins is not', async () => {
    const input = { ...blankStorm(), name: 'Ice', fromDay: '2026-12-31', toDay: '2027-01-01' };
    await put(`/api/storms/${v7()}`, writeOf('storms', input)).expect(200);
    const answer = await put(`/api/storms/${v7()}`, writeOf('storms', { ...input, toDay: '2026-12-30' })).expect(400); // prettier-ignore
    expect(paths(answer)).toEqual([['input.toDay', 'storm.ends']]);
  });
});

describe('work of a job', () => {
  it('is appended to the job that it was done for; the same twice is harmless', async () => {
    const job = v7();
    await put(`/api/jobs/${job}`, writeOf('jobs', sampleJob())).expect(200);
    const feed = round({ round: '', product: { ...round().product, kind: 'dry-fertilizer', name: 'Lake feed', grade: '24-0-8' } }); // prettier-ignore
    const body = rowOf(feed, { subject: job });
    const { body: once } = await append(body).expect(200);
    expect((await append(body).expect(200)).body).toEqual(once);
    const list = await request(app).get('/api/applications').query({ subject: job }).expect(200);
    expect(list.body.events).toEqual([once]);
    const correction = rowOf(
      { ...feed, void: 'Wrong lawn', correction: 'Wrong lawn' },
      { subject: job, first: body.id },
    );
    await append(correction).expect(200);
    // What names a row of a job belongs to that job.
    await append(rowOf(feed, { subject: storm, first: body.id })).expect(400);
  });

  it('of a job that is deleted, or of anything else, is refused', async () => {
    const job = v7();
    await put(`/api/jobs/${job}`, writeOf('jobs', sampleJob())).expect(200);
    await request(app).delete(`/api/jobs/${job}`).expect(204);
    await append(rowOf(round(), { subject: job })).expect(409);
    await append(rowOf(round(), { subject: v7() })).expect(404);
  });

  it('a row of the version before is read as one of now', async () => {
    const { need: _need, directions: _directions, planned: _planned, water: _water, label: _label, chart: _chart, ...earlier } = round(); // prettier-ignore
    const body = rowOf(earlier as ApplicationInput, { schemaVersion: 1 });
    await append(body).expect(200);
    expect((await rows()).map(({ input }) => input)).toEqual([round()]);
  });
});
