import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toSi } from '../quantities/convert.ts';
import {
  checkNozzles,
  combinedCourses,
  coolsBy,
  densityFactor,
  dissolving,
  flowAt,
  inMeasures,
  patchPlan,
  pressureFor,
  rateWays,
  readMeasures,
  SALT_IDS,
  solubilityAt,
  sprayRate,
  tankPlan,
  type NozzleChoice,
  type Spraying,
} from './index.ts';

const close = (value: number, to: number) => expect(Math.abs(value / to - 1)).toBeLessThan(1e-6);
const FLOWS = [480, 470, 505, 490].map((mL) => mL / 30_000);
const BOOM = sprayRate({ flowLPerS: FLOWS.reduce((a, b) => a + b), speedMPerS: 60 / 36, widthM: 4 * 0.5 });

describe('worked cases', () => {
  it('four nozzles caught for 30 s, and the tanks of a job', () => {
    close(BOOM, 0.01945);
    close(checkNozzles(FLOWS, null).worst, 0.03856041);
    const plan = tankPlan({ mixLPerM2: BOOM, totalM2: 21_500, tankL: 120, products: [{ id: 'a', form: 'liquid', perM2: 0.006 / 100 }] }); // prettier-ignore
    close(plan.areaPerTankM2, 6169.66581);
    close(plan.full!.products[0]!.si, 0.370179949);
    expect(plan.fullTanks).toBe(3);
    close(plan.last!.mixL, 58.175);
  });
  it('15 % more by pressure', () => close(pressureFor({ flowLPerS: 1, pressurePa: 2.8e5 }, 1.15), 3.703e5));
  it('1.28 kg/L flows 12 % less', () => close(densityFactor(1.28), 0.8838834765));
  it('potassium nitrate in cold water', () => {
    const found = dissolving({ kg: 3.2, salt: 'potassium-nitrate', gPer100g: null, degC: 10, waterL: 15 })!;
    close(found.leastWaterL, 15.311005);
    expect(found.fits).toBe(false);
    expect(coolsBy('potassium-nitrate', 3.2, 15)).toBeCloseTo(16.8, 1);
  });
  it('a gun: what a tank treats, and what it takes of a dry product', () => {
    const rate = sprayRate({ flowLPerS: 2.95 / (41.666667 / 1.3), speedMPerS: 1.3, widthM: 2.4 });
    close(rate, 0.0295);
    close(rate / toSi(1, 'gal/acre'), 31.537458);
    const plan = tankPlan({ mixLPerM2: rate, totalM2: 300 / rate, tankL: 300, products: [{ id: 'n', form: 'dry', perM2: 0.25 / 100 / 0.155 }] }); // prettier-ignore
    close(plan.areaPerTankM2, 10169.491525);
    expect([plan.fullTanks, plan.last]).toEqual([1, null]);
    close(plan.full!.products[0]!.si, 164.024057);
  });
});

describe('a combined rig', () => {
  it('the granular course is half as long, and so is its time', () => {
    const { sprayCourseM, sprayS, throwM, granularCourseM, granularS } = combinedCourses({ sprayM: 2, speedMPerS: 1.25, areaM2: 100 }); // prettier-ignore
    expect([sprayCourseM, sprayS, throwM, granularCourseM, granularS]).toEqual([50, 40, 4, 25, 20]);
    // 0.62 kg caught in that time goes over each spot twice.
    close(((2 * 0.62) / (granularCourseM * throwM)) * 100, 1.24);
  });
});

describe('own cups and jugs', () => {
  it('are read in one line, the largest first', () => {
    expect(readMeasures('cup 250 mL, blue jug 2 L', 'x')).toEqual([{ name: 'blue jug', volumeL: 2 }, { name: 'cup', volumeL: 0.25 }]); // prettier-ignore
    expect(readMeasures(' ', 'x')).toEqual([]);
    expect(() => readMeasures('a jug', 'x')).toThrow(/measures.line/);
  });
  it('whole ones of the large, the rest in the small: together the volume', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 50, noNaN: true }), (litres) => {
        const measures = readMeasures('jug 2 L, pint 473 mL, cup 100 mL', 'x');
        const sum = inMeasures(litres, measures).reduce((all, { name, count }) => all + count * measures.find((each) => each.name === name)!.volumeL, 0); // prettier-ignore
        expect(sum).toBeCloseTo(litres, 6);
      }),
      { seed: 6 },
    ));
});

describe('nozzles', () => {
  it('over 5 % is looked at, over 10 % replaced; against the mean or against what they are rated for', () => {
    const verdicts = (flows: number[], rated: number | null = null) =>
      checkNozzles(flows, rated).nozzles.map(({ verdict }) => verdict);
    expect(verdicts([100, 100, 100, 100])).toEqual(['good', 'good', 'good', 'good']);
    expect(verdicts([100, 100, 100, 124])).toEqual(['look', 'look', 'look', 'replace']);
    expect(verdicts([115, 115], 100)).toEqual(['replace', 'replace']);
    expect(verdicts([105, 105], 100)).toEqual(['good', 'good']);
    expect(verdicts([100, 0])).toEqual(['replace', 'replace']);
  });
  it('nothing at all is no boom', () => expect(() => checkNozzles([0, 0], null)).toThrow());
  it('pressure and flow are each other’s way back', () =>
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 1, noNaN: true }), fc.double({ min: 1e4, max: 1e7, noNaN: true }), fc.double({ min: 1e4, max: 1e7, noNaN: true }), (flowLPerS, pressurePa, at) => {
        const rated = { flowLPerS, pressurePa };
        close(pressureFor(rated, flowAt(rated, at)), at);
      }),
      { seed: 17 },
    )); // prettier-ignore
});

const NOW: Spraying = { rateLPerM2: 0.03, speedMPerS: 2, widthM: 5, nozzles: 10, pressurePa: 3e5, lowPa: 1.5e5, highPa: 4e5, speeds: [1.5, 3], densityFactor: 1 }; // prettier-ignore
const nozzle = (name: string, flowLPerS: number): NozzleChoice => ({ id: name, name, flowLPerS, pressurePa: 3e5, lowPa: 1.5e5, highPa: 4e5 }); // prettier-ignore

describe('what brings a rig to a rate', () => {
  it('speed first, then another nozzle, then pressure; what cannot be done comes last', () => {
    const ways = rateWays(NOW, 0.04, [nozzle('small', 0.01), nozzle('large', 0.041)]);
    expect(ways.map(({ by, isFeasible }) => `${by} ${isFeasible}`)).toEqual(['speed true', 'nozzle true', 'pressure false']); // prettier-ignore
    expect(ways[0]).toMatchObject({ speedMPerS: 1.5, isFaster: false });
    expect(ways[1]).toMatchObject({ nozzle: { name: 'large' } });
    expect(ways[2]).toMatchObject({ isHigher: true });
  });
  it('a speed that nobody drives comes after what can be fitted', () =>
    expect(rateWays(NOW, 0.06, [nozzle('larger', 0.06)]).map(({ by }) => by)).toEqual(['nozzle', 'speed', 'pressure'])); // prettier-ignore
  it('without a gauge there is no pressure to change', () =>
    expect(rateWays({ ...NOW, pressurePa: null }, 0.035).map(({ by }) => by)).toEqual(['speed']));
  it('each way gives the rate that is wanted', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 0.1, noNaN: true }), fc.double({ min: 0.7, max: 1, noNaN: true }), (wanted, factor) => {
        for (const way of rateWays({ ...NOW, densityFactor: factor }, wanted, [nozzle('a', 0.02), nozzle('b', 0.05)])) {
          const flow = NOW.rateLPerM2 * NOW.speedMPerS * NOW.widthM;
          const given = way.by === 'speed' ? flow / (way.speedMPerS * NOW.widthM)
            : way.by === 'pressure' ? NOW.rateLPerM2 * Math.sqrt(way.pressurePa / NOW.pressurePa!)
            : (flowAt(way.nozzle, way.pressurePa) * factor * NOW.nozzles) / (NOW.speedMPerS * NOW.widthM);
          close(given, wanted);
        }
      }),
      { seed: 4 },
    )); // prettier-ignore
  it('twice the speed is half the rate', () => {
    const flowLPerS = 0.3;
    close(sprayRate({ flowLPerS, speedMPerS: 4, widthM: 3 }) * 2, sprayRate({ flowLPerS, speedMPerS: 2, widthM: 3 })); // prettier-ignore
  });
});

describe('tanks', () => {
  const positive = (max: number) => fc.double({ min: 1e-3, max, noNaN: true });
  it('add up to the areas of a job and its product exactly', () =>
    fc.assert(
      fc.property(positive(1), positive(1e5), positive(2000), positive(1), (mixLPerM2, totalM2, tankL, share) => {
        const products = [{ id: 'wet', form: 'liquid', perM2: mixLPerM2 * share }, { id: 'dry', form: 'dry', perM2: 0.01 }] as const;
        const { fullTanks, full, last, totalMixL } = tankPlan({ mixLPerM2, totalM2, tankL, products });
        const sum = (of: (fill: NonNullable<typeof full>) => number) => fullTanks * (full ? of(full) : 0) + (last ? of(last) : 0);
        close(sum(({ areaM2 }) => areaM2), totalM2);
        close(sum(({ mixL }) => mixL), totalMixL);
        products.forEach(({ perM2 }, index) => close(sum((fill) => fill.products[index]!.si), perM2 * totalM2));
        close(sum(({ waterL, products: [wet] }) => waterL + wet!.si), totalMixL);
        for (const fill of [full, last]) if (fill) expect(fill.mixL).toBeLessThanOrEqual(tankL * (1 + 1e-9));
      }),
      { seed: 9 },
    )); // prettier-ignore
  it('three tanks that come out even are three', () =>
    expect(tankPlan({ mixLPerM2: 0.1, totalM2: 3000, tankL: 100, products: [] })).toMatchObject({ fullTanks: 3, last: null })); // prettier-ignore
  it('more product than mix is refused', () =>
    expect(() => tankPlan({ mixLPerM2: 0.1, totalM2: 1, tankL: 1, products: [{ id: 'a', form: 'liquid', perM2: 0.2 }] })).toThrow(/mix.product-larger/)); // prettier-ignore
});

describe('what dissolves', () => {
  it('warmer water holds more of every salt, and above 30 degC no more than at 30', () => {
    for (const salt of SALT_IDS) {
      const held = [0, 5, 10, 17, 30].map((degC) => solubilityAt(salt, degC)!);
      expect(held).toEqual(held.toSorted((a, b) => a - b));
      expect(solubilityAt(salt, 60)).toBe(held.at(-1));
      expect(solubilityAt(salt, -1)).toBeNull();
    }
  });
  it('a figure of one’s own goes before that of the salt; of what nothing is known nothing is said', () => {
    const own = { kg: 1, salt: 'urea', gPer100g: 50, degC: 10, waterL: 3 } as const;
    expect(dissolving(own)).toMatchObject({ leastWaterL: 2, fits: true });
    expect(dissolving({ ...own, salt: null })).toMatchObject({ leastWaterL: 2, coolsByC: null });
    expect(dissolving({ ...own, salt: null, gPer100g: null })).toBeNull();
  });
});

describe('a small patch', () => {
  it('takes as many bottles as dissolve it, each with an even share', () => {
    const plan = patchPlan({ productSi: 0.24, form: 'dry', areaM2: 12, bottleL: 1, leastWaterL: 1.15 });
    expect(plan).toEqual({ fills: 2, perFillSi: 0.12, waterPerFillL: 1, mixLPerM2: 2 / 12 });
  });
  it('of a liquid never more than half a bottle', () =>
    expect(patchPlan({ productSi: 1.2, form: 'liquid', areaM2: 10, bottleL: 1, leastWaterL: null })).toMatchObject({ fills: 3, waterPerFillL: 1 - 1.2 / 3 })); // prettier-ignore
  it('what dissolves in less than a bottle is one', () =>
    expect(patchPlan({ productSi: 0.05, form: 'dry', areaM2: 2, bottleL: 2, leastWaterL: 0.2 }).fills).toBe(1)); // prettier-ignore
});
