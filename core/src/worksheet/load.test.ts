import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { upgraded } from '../fields/index.ts';
import { blankLoad, blankWorksheet, evaluateJob, evaluateLoad, jobInput, jobUpgrades, newJob, USUAL, type LoadInput } from './index.ts'; // prettier-ignore

const AREA = '0197b000-0000-7000-8000-000000000001';
const load = (more: Partial<LoadInput> = {}): LoadInput => ({ ...blankLoad('us'), ...more });
const codes = (input: LoadInput) => evaluateLoad(input).errors.map(({ field, code }) => [field, code]);

describe('what is typed of a load', () => {
  it('nothing is what is usual', () => {
    expect(evaluateLoad(load())).toMatchObject({ trims: null, trimShare: 0.9, reserveSi: 0, turnS: 5, refillS: 240, waterM: null, errors: [] }); // prettier-ignore
    expect(evaluateLoad(load()).blockM2).toBeCloseTo(92.90304, 9);
    expect(evaluateLoad(blankLoad('metric')).blockM2).toBe(USUAL.blockM2.metric);
  });

  it('units are read, seconds for a turn and minutes for a refill where none is typed', () => {
    const read = evaluateLoad(
      load({
        trims: '2',
        trimShare: '80',
        reserve: '1 kg',
        turn: '4',
        refill: '1.5',
        block: { size: '100 m2', unit: 'ft2' },
        water: { depth: '6 mm', unit: 'in', by: '', who: '' },
        walk: { late: '2', early: '-1', wander: '0.3 m', unit: 'ft', pace: '8' },
        areas: [{ id: AREA, heading: '45°', length: { text: '62', unit: 'ft' }, refillAt: 'ne' }],
      }),
    );
    expect(read).toMatchObject({ trims: 2, trimShare: 0.8, reserveSi: 1, turnS: 4, refillS: 90, blockM2: 100, waterM: 0.006 }); // prettier-ignore
    expect(read.walk).toEqual({ lateM: expect.closeTo(0.6096, 9), earlyM: expect.closeTo(-0.3048, 9), wanderM: 0.3, paceSd: 0.08 }); // prettier-ignore
    expect(read.areas.get(AREA)).toEqual({ headingDeg: 45, lengthM: expect.closeTo(18.8976, 6) });
  });

  it.each([
    [{ trims: 'two' }, 'trims', 'passes.trims'],
    [{ trims: '6' }, 'trims', 'passes.trims'],
    [{ trimShare: '0' }, 'trimShare', 'percent.unreadable'],
    [{ turn: '-3' }, 'turn', 'quantity.not-positive'],
    [{ areas: [{ id: AREA, heading: '400', length: { text: '', unit: 'ft' }, refillAt: '' }] }, 'areas.0.heading', 'passes.heading'],
    [{ walk: { late: '', early: '', wander: '', unit: 'ft', pace: '70' } }, 'walk.pace', 'percent.unreadable'],
  ] as const)('%j is told at its field', (more, field, code) => {
    expect(codes(load(more as Partial<LoadInput>))).toEqual([[field, code]]);
  }); // prettier-ignore

  it('whatever is typed: a reading, never an exception, with errors that name their field', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), fc.string(), (trims, reserve, heading) => {
        const areas = [
          { id: AREA, heading, length: { text: reserve, unit: 'm' as const }, refillAt: '' as const },
        ];
        const { errors, reserveSi } = evaluateLoad(load({ trims, reserve, areas }));
        expect(reserveSi).toBeGreaterThanOrEqual(0);
        for (const { field } of errors) expect(field).toMatch(/^(trims|reserve|areas\.0\.)/);
      }),
      { numRuns: 200, seed: 19 },
    );
  });
});

describe('a job with its load', () => {
  const job = newJob({ name: 'Spring feed', onDay: '2026-04-18', worksheet: blankWorksheet('metric', AREA) });

  it('begins in the units of its sheet, and tells errors of both', () => {
    expect(job.load.reserveUnit).toBe('kg');
    const wrong = { ...job, name: '', load: { ...job.load, trims: 'x' } };
    expect(evaluateJob(wrong).errors.map(({ field }) => field)).toEqual(['name', 'load.trims']);
  });

  it('one that was stored before is read with nothing said of its load', () => {
    for (const [unit, system] of [['lb/1000 ft2', 'us'], ['kg/ha', 'metric'], ['g/m2', 'metric']] as const) {
      const { load: _load, ...earlier } = job;
      const typed = { ...earlier, worksheet: { ...earlier.worksheet, need: { ...earlier.worksheet.need, unit } } };
      const now = jobInput.parse(upgraded(jobUpgrades, jobUpgrades.findIndex(({ adds }) => adds.includes('load')) + 1, typed));
      expect(now.load).toEqual(blankLoad(system));
    }
  }); // prettier-ignore
});
