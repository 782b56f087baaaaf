import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { simulateCoverage } from '../coverage/index.ts';
import type { Ground } from '../ground/index.ts';
import { message } from '../messages/message.ts';
import { blankProduct, type ProductInput } from '../products/index.ts';
import { blankWorksheet, evaluateJob, newJob, type JobInput, type LoadInput } from '../worksheet/index.ts';
import {
  coverageFor,
  openObstacles,
  passesGeoJson,
  passesGpx,
  runSheet,
  runTable,
  seasonOrder,
  seasonOrderTable,
  type GroundFacts,
  type MachineFacts,
  type RunFacts,
} from './index.ts';

const AREA = '0197b000-0000-7000-8000-000000000001';
const FEED: ProductInput = { ...blankProduct('dry-fertilizer', 'metric'), name: 'Lake feed', grade: '24-0-8', package: { size: '20', unit: 'kg' }, price: '31.80' }; // prettier-ignore

/** A job on one area: 15 g/m2 of a product, passes 5 m apart. */
function job(more: { size?: string; load?: Partial<LoadInput>; directions?: 'one' | 'two'; product?: ProductInput } = {}): JobInput {
  const sheet = blankWorksheet('metric', AREA);
  const made = newJob({
    name: 'Spring feed',
    onDay: '2026-04-18',
    worksheet: {
      ...sheet,
      need: { nutrient: 'product', amount: '150', unit: 'kg/ha' },
      product: more.product ?? FEED,
      areas: [{ id: AREA, name: 'Lawn', size: more.size ?? '50 x 55.6 m', unit: 'm2' }],
      split: { ...sheet.split, directions: more.directions ?? 'one' },
      spread: { ...sheet.spread, width: { text: '5', unit: 'm' } },
    },
  });
  return { ...made, load: { ...made.load, trims: '0', ...more.load } };
} // prettier-ignore

const marks = [4, 5, 6, 7, 8, 9, 10].map((opening) => ({ mark: { label: String(opening), opening }, rateSi: opening * 0.002 })); // prettier-ignore
const MACHINE = {
  kind: 'push-rotary',
  reading: { chart: marks, widthM: 5, dimension: 'massPerArea', chartPaceMPerS: 1.39, paceMPerS: 1.39 },
  isCeiling: false,
  isSigned: true,
  isForProduct: true,
  age: { state: 'fresh', reasons: [] },
  holdsSi: 16,
} as unknown as MachineFacts;
const facts = (more: Partial<RunFacts> = {}): RunFacts => ({ grounds: new Map(), machine: MACHINE, mixLPerM2: null, drift: null, broken: [], ...more }); // prettier-ignore
const run = (of: JobInput, more: Partial<RunFacts> = {}) => runSheet(of, evaluateJob(of), facts(more));
const ids = ({ obstacles }: { obstacles: readonly { id: string }[] }) => obstacles.map(({ id }) => id);

describe('what is weighed out', () => {
  it('case S: 41.7 kg out of a 16 kg hopper at 15 g/m2, 5 m apart', () => {
    const { areas, totals } = run(job());
    const [area] = areas;
    expect(totals.amountSi).toBeCloseTo(41.7, 9);
    expect(area!.plan.passes).toBe(10);
    expect(area!.fills.map(({ metres }) => metres)).toEqual([expect.closeTo(213.333333, 5), expect.closeTo(213.333333, 5), expect.closeTo(129.333333, 5)]); // prettier-ignore
    expect(area!.fills[0]!.runsOut).toMatchObject({ zone: 'first', number: 4, parts: 1, leftM: expect.closeTo(9.0667, 3), towards: null }); // prettier-ignore
    expect(totals.costCents).toBe(Math.round((41.7 / 20) * 3180));
  });

  it('what stays in the hopper makes fills smaller; all of it kept leaves none', () => {
    expect(run(job({ load: { reserve: '1' } })).areas[0]!.fills[0]!.amountSi).toBeCloseTo(15, 9);
    const none = run(job({ load: { reserve: '16' } }));
    expect(none.usableSi).toBeNull();
    expect(none.areas[0]!.fills).toEqual([]);
  });

  it('zones and what the trim leaves add up to the job, whatever is asked', () => {
    const asked = fc.record({
      trims: fc.integer({ min: 0, max: 3 }),
      share: fc.integer({ min: 50, max: 120 }),
      directions: fc.constantFrom('one' as const, 'two' as const),
      long: fc.integer({ min: 12, max: 90 }),
      wide: fc.integer({ min: 12, max: 90 }),
    });
    fc.assert(
      fc.property(asked, ({ trims, share, directions, long, wide }) => {
        const of = job({ size: `${wide} x ${long} m`, directions, load: { trims: String(trims), trimShare: String(share) } }); // prettier-ignore
        const [area] = run(of).areas;
        const whole = wide * long * 0.015;
        expect(area!.amountSi + area!.spareSi).toBeCloseTo(whole, 6);
        expect(area!.zones.reduce((sum, { amountSi }) => sum + amountSi, 0)).toBeCloseTo(area!.amountSi, 9);
        expect(area!.fills.reduce((sum, { amountSi }) => sum + amountSi, 0)).toBeCloseTo(area!.amountSi, 6);
        expect(area!.blocks.reduce((sum, { amountSi }) => sum + amountSi, 0)).toBeCloseTo(whole, 4);
      }),
      { numRuns: 40, seed: 19 },
    );
  });

  it('each zone has its mark: the trim half as wide and lighter, the field for its evened spacing', () => {
    const [area] = run(job({ size: '47 x 60 m', load: { trims: '1', trimShare: '80' } })).areas;
    const [trim, field] = area!.zones;
    // A strip of half the spacing at 80 % of 15 g/m2 is 30 g/m: 6 g/m2 at 5 m, mark 4 as the lowest of the chart.
    expect(trim!.setting).toEqual({ mark: '4', beyond: 'below' });
    // 42 m across the field are 9 passes of 4.667 m: 14 g/m2 at 5 m.
    expect(area!.plan.spacingM).toBeCloseTo(42 / 9, 6);
    expect(field!.setting).toEqual({ mark: '7', beyond: null });
  });

  it('what goes into a tank is told in mix, the product with it', () => {
    const [area] = run(job(), { mixLPerM2: 0.05, machine: { ...MACHINE, kind: 'boom', holdsSi: 60 } }).areas;
    expect(area!.zones[0]).toMatchObject({
      amountSi: expect.closeTo(41.7, 6),
      loadSi: expect.closeTo(139, 6),
    });
    expect(area!.fills).toHaveLength(3);
  });

  it('water: 6 mm on 2780 m2 are 16 680 L', () => {
    const of = job({ load: { water: { depth: '6', unit: 'mm', by: '', who: '' } } });
    expect(run(of).totals.waterL).toBeCloseTo(16_680, 6);
  });
});

describe('ground', () => {
  const square: Ground = [[{ x: 0, y: 0 }, { x: 40, y: 0 }, { x: 40, y: 40 }, { x: 0, y: 40 }]]; // prettier-ignore
  const drawn = (more: Partial<GroundFacts> = {}) => facts({ grounds: new Map([[AREA, { treated: square, area: square, edges: [], isPlaced: true, ...more }]]) }); // prettier-ignore

  it('nobody drew is a sketch: of its sides, of its length, else a square', () => {
    const shapeOf = (of: JobInput) => {
      const [area] = run(of).areas;
      expect(area!.isSketch).toBe(true);
      return Math.max(...area!.ground.area.flat().map(({ y }) => y));
    };
    expect(shapeOf(job({ size: '20 x 50 m' }))).toBeCloseTo(50, 6);
    expect(shapeOf(job({ size: '900 m2' }))).toBeCloseTo(30, 6);
    const length = {
      id: AREA,
      heading: '',
      length: { text: '90', unit: 'm' as const },
      refillAt: '' as const,
    };
    expect(shapeOf(job({ size: '900 m2', load: { areas: [length] } }))).toBeCloseTo(90, 6);
  });

  it('that was drawn is walked as it lies, and fills end towards a wind', () => {
    const of = job({ size: '1600 m2', load: { areas: [{ id: AREA, heading: '0', length: { text: '', unit: 'm' }, refillAt: 'sw' }] } }); // prettier-ignore
    const [area] = run(of, drawn()).areas;
    expect(area!.isSketch).toBe(false);
    expect(area!.refillAt).toEqual({ x: 0, y: 0 });
    expect(area!.fills[0]!.runsOut!.towards).toBe('s');
  });

  it('parts that were placed a hand apart are walked as one', () => {
    const apart: Ground = [
      [{ x: 0, y: 0 }, { x: 40, y: 0 }, { x: 40, y: 20 }, { x: 0, y: 20 }],
      [{ x: 0, y: 20.01 }, { x: 40, y: 20.01 }, { x: 40, y: 40 }, { x: 0, y: 40 }],
    ]; // prettier-ignore
    expect(run(job({ size: '1600 m2' }), drawn({ treated: apart, area: apart })).areas[0]!.plan.pieces).toHaveLength(1); // prettier-ignore
  });

  it('is simulated as it is planned, with the deflector keeping water clean', () => {
    const lake = { kind: 'water', points: square[0]!, closed: true } as const;
    const offOf = (trims: string) => {
      const of = job({ size: '1600 m2', load: { trims } });
      const result = evaluateJob(of);
      const sheet = runSheet(of, result, drawn({ edges: [lake] }));
      const look = { run: sheet.areas[0]!, pattern: null, machine: MACHINE, spacingM: 5, input: of.load, load: result.load, seed: 1, cellM: 0.25 }; // prettier-ignore
      const { off, releasedSi } = simulateCoverage(coverageFor(look))!;
      return off.water / releasedSi;
    };
    expect(offOf('0')).toBeGreaterThan(0.025);
    expect(offOf('1')).toBeLessThan(offOf('0') / 2);
  });
});

describe('what stands against it', () => {
  it('nothing, with everything known', () => {
    expect(run(job()).obstacles).toEqual([]);
  });

  it.each([
    ['no machine', {}, { machine: null }, ['machine']],
    ['no chart', {}, { machine: { ...MACHINE, isSigned: false } }, ['chart']],
    ['a stale one', {}, { machine: { ...MACHINE, age: { state: 'stale', reasons: [message('fresh.season')] } } }, ['stale']],
    ['that of another product', {}, { machine: { ...MACHINE, isForProduct: false } }, ['product']],
    ['another spacing', {}, { machine: { ...MACHINE, reading: { ...MACHINE.reading, widthM: 2.5 } } }, ['other-spacing']],
    ['a hopper nobody measured', {}, { machine: { ...MACHINE, holdsSi: null } }, ['hopper']],
    ['two directions with a chart at the full rate', { directions: 'two' as const }, { machine: { ...MACHINE, reading: { ...MACHINE.reading, chart: marks.slice(3) } } }, ['beyond']],
    ['a machine that drifts', {}, { drift: { side: 'heavy', percent: 106 } }, ['drift']],
    ['a broken rule', {}, { broken: [{ id: 'r1', rule: message('checks.limit') }] }, ['rule:r1']],
  ] as const)('%s', (_, of, more, expected) => {
    const sheet = run(job(of), more as Partial<RunFacts>);
    expect(ids(sheet)).toEqual(expected);
    expect(sheet.obstacles[0]!.mayOverride).toBe(true);
  }); // prettier-ignore

  it('what is missing cannot be overruled', () => {
    const empty = newJob({ name: '', onDay: '', worksheet: blankWorksheet('us', AREA) });
    const sheet = run(empty, { machine: null });
    expect(ids(sheet)).toEqual(['need', 'ground', 'spacing', 'machine']);
    expect(sheet.obstacles.map(({ mayOverride }) => mayOverride)).toEqual([false, false, false, true]);
    expect(sheet.areas).toEqual([]);
  });

  it('a plan that cannot be made says why, and the other areas stand', () => {
    const sheet = run(job({ load: { areas: [{ id: AREA, heading: 'north', length: { text: '', unit: 'm' }, refillAt: '' }] } })); // prettier-ignore
    expect(ids(sheet)).toEqual(['plan:load']);
    expect(sheet.areas).toHaveLength(1);
  });

  it('is ready once each has its reason, and no longer when the sheet is another one', () => {
    const stale = {
      machine: { ...MACHINE, age: { state: 'stale', reasons: [] } } as unknown as MachineFacts,
    };
    const { mark, obstacles } = run(job(), stale);
    const ready = { onDay: '2026-04-18', by: 'R. Fenn', of: mark, overrides: [{ id: 'stale', reason: 'Check test this morning' }] }; // prettier-ignore
    expect(openObstacles(obstacles, { overrides: [{ id: 'stale', reason: ' ' }] })).toHaveLength(1);
    expect(run(job({ load: { ready } }), stale).readiness).toBe('ready');
    expect(run(job({ load: { ready: { ...ready, overrides: [] } } }), stale).readiness).toBe('changed');
    expect(run(job({ size: '40 x 40 m', load: { ready } }), stale).readiness).toBe('changed');
    expect(run(job(), stale).readiness).toBe('open');
  });
});

describe('files', () => {
  const { areas } = run(job({ size: '10 x 12 m' }));
  const place = { latDeg: 47, lonDeg: -31 };

  it('passes lie on the earth in their order', () => {
    const { features } = JSON.parse(passesGeoJson(areas, place, ({ number }) => `Pass ${number}`)) as { features: { properties: object; geometry: { coordinates: number[][] } }[] }; // prettier-ignore
    expect(features.map(({ properties }) => properties)).toMatchObject([{ name: 'Pass 1', order: 1, area: 'Lawn' }, { name: 'Pass 2', order: 2 }]); // prettier-ignore
    const [[, from] = [], [, to] = []] = features[0]!.geometry.coordinates;
    expect((to! - from!) * 111_170).toBeCloseTo(12, 1);
    expect(passesGpx([{ ...areas[0]!, name: 'A & B' }], place)).toContain('<name>A &#38; B</name><trkseg>');
  });

  it('the sheet and the order are tables', () => {
    const speak = (what: unknown) => (typeof what === 'string' ? what : (what as { id: string }).id);
    const table = runTable({ areas }, { amount: 'kg', area: 'm2', length: 'm' }, speak);
    expect(table[1]).toEqual([
      'Lawn',
      'first',
      '120',
      '1.8',
      '8',
      '5',
      '0',
      '2',
      '24',
      '1',
      expect.any(String),
    ]);
    expect(new Set(table.map((row) => row.length))).toEqual(new Set([11]));
    const lines = seasonOrder([{ input: job(), result: evaluateJob(job()) }], []);
    expect(seasonOrderTable(lines, speak, (cents) => String(cents))[1]).toEqual(['Lake feed', '41.7', 'kg', '2.085', '0', '3', '9540']); // prettier-ignore
  });
});

describe('the order of a season', () => {
  const of = (size: string, product = FEED, onDay = '2026-04-18') => {
    const input = { ...job({ size, product }), onDay, name: `Feed of ${onDay}` };
    return { input, result: evaluateJob(input) };
  };

  it('rounds up once for each product, after what is in stock', () => {
    const meal = { ...FEED, name: 'Organic meal', price: '' };
    const shelf = [{ ...FEED, stock: '1.5' }];
    const lines = seasonOrder([of('800 m2', FEED, '2026-06-01'), of('900 m2'), of('500 m2', meal)], shelf);
    expect(lines.map(({ product, jobs }) => [product, jobs])).toEqual([
      ['Lake feed', ['Feed of 2026-04-18', 'Feed of 2026-06-01']],
      ['Organic meal', ['Feed of 2026-04-18']],
    ]);
    // 1700 m2 at 15 g/m2 are 25.5 kg: 1.275 packages of 20 kg, and 1.5 are there.
    expect(lines[0]!.order).toMatchObject({ exact: expect.closeTo(1.275, 9), buy: 0, costCents: 0 });
    expect(lines[1]!.order).toMatchObject({ buy: 1, costCents: null });
  });

  it('leaves out what has no amount', () => {
    const empty = newJob({ name: 'x', onDay: '2026-01-01', worksheet: blankWorksheet('us', AREA) });
    expect(seasonOrder([{ input: empty, result: evaluateJob(empty) }], [])).toEqual([]);
  });
});
