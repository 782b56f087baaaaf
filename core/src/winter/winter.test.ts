import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toSi } from '../quantities/index.ts';
import { chlorideOf } from '../products/index.ts';
import { perArea } from '../testing/index.ts';
import {
  BRINE_SALT_IDS,
  BRINE_SALTS,
  brineDensity,
  brineFor,
  brineOnGround,
  brineStrength,
  correctedBrine,
  filmHeld,
  freezesAt,
  prewetting,
  saltForFilm,
  strengthAt,
  type BrineSaltId,
} from './index.ts';

const NACL: BrineSaltId = 'sodium-chloride';
const CACL2: BrineSaltId = 'calcium-chloride';
const near = (found: number | null | undefined, wanted: number) => expect(found! / wanted).toBeCloseTo(1, 6);

describe('the film that a salt keeps liquid', () => {
  it.each([
    [NACL, -2, 3.454615],
    [NACL, -5, 8.552987],
    [NACL, -9, 14.852519],
    [CACL2, -10, 16.467009],
  ] as const)('%s at %s degC', (salt, degC, gPerM2) => near(saltForFilm(salt, 1e-4, degC), gPerM2 / 1000));

  it('15 g/m2 at -5 degC holds 0.175377 mm, and a quarter tonne has its chloride', () => {
    expect(filmHeld(NACL, 0.015, -5)! * 1000).toBeCloseTo(0.175377, 6);
    near(chlorideOf({ salt: NACL, share: 1 }, 250), 151.65);
    near(chlorideOf({ salt: CACL2, share: 0.77 }, 100), 49.1953);
  });

  it('every point of the curves, both ways', () => {
    for (const salt of BRINE_SALT_IDS)
      for (const [percent, degC] of BRINE_SALTS[salt].freezes) {
        expect(freezesAt(salt, percent)).toBe(degC);
        expect(strengthAt(salt, degC)).toBe(percent);
      }
  });

  it('nothing is needed from 0 degC up, and nothing helps below the end of the curve', () => {
    expect([strengthAt(NACL, 0), saltForFilm(NACL, 1e-4, 3), filmHeld(NACL, 0.015, 3)]).toEqual([0, 0, null]);
    expect([strengthAt(NACL, -21.2), saltForFilm(NACL, 1e-4, -30), filmHeld(NACL, 0.015, -30)]).toEqual([null, null, null]); // prettier-ignore
    expect([freezesAt(NACL, 25), freezesAt(NACL, -1)]).toEqual([null, null]);
    expect(() => strengthAt(NACL, NaN)).toThrow();
    expect(() => filmHeld(NACL, 0, -5)).toThrow();
  });

  it('more water or colder never needs less, and what is needed holds just that film', () => {
    const degC = fc.double({ min: -21, max: -0.01, noNaN: true });
    const film = fc.double({ min: 1e-5, max: 2e-3, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...BRINE_SALT_IDS), degC, degC, film, film, (salt, a, b, thin, thick) => {
        const [cold, warm] = [Math.min(a, b), Math.max(a, b)];
        const [less, more] = [Math.min(thin, thick), Math.max(thin, thick)];
        const needed = saltForFilm(salt, more, cold)!;
        expect(needed).toBeGreaterThanOrEqual(saltForFilm(salt, less, cold)! - 1e-15);
        expect(needed).toBeGreaterThanOrEqual(saltForFilm(salt, more, warm)! - 1e-15);
        expect(filmHeld(salt, needed, cold)! / more).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('brine', () => {
  it('a tank is made: salt and water by weight', () => {
    near(brineDensity(NACL, 23.3), 1.174693);
    const made = brineFor(NACL, 1000, 23.3)!;
    near(made.saltKg, 273.703527);
    near(made.waterKg, 900.989723);
  });

  it('a weak tank takes salt, a strong one water, one that is right nothing', () => {
    near(correctedBrine(NACL, 800, 18, 23.3)!.saltKg, 62.577314);
    expect(correctedBrine(NACL, 800, 23.3, 23.3)).toEqual({
      saltKg: 0,
      waterKg: expect.closeTo(0, 9) as number,
    });
    const { saltKg, waterKg } = correctedBrine(NACL, 800, 25, 23.3)!;
    expect(saltKg).toBe(0);
    // Salt stays the same.
    const before = 800 * brineDensity(NACL, 25)!;
    near(((before * 0.25) / (before + waterKg)) * 100, 23.3);
  });

  it('a hydrometer tells the strength, as it is marked', () => {
    near(brineStrength(NACL, 1.15, 'kg/L'), 20.271082);
    near(brineStrength(NACL, 1.15 / 0.999, 'sg-60F'), 20.271082);
    near(brineStrength(NACL, 1.15 / 0.9982, 'sg-20C'), 20.271082);
    expect([brineStrength(NACL, 0.99, 'kg/L'), brineStrength(NACL, 1.25, 'kg/L')]).toEqual([null, null]);
  });

  it('what is over saturation is none', () => {
    expect([brineFor(NACL, 100, 30), correctedBrine(NACL, 100, 20, 30), brineOnGround(NACL, 0.02, 30, -5)]).toEqual([null, null, null]); // prettier-ignore
    expect(() => brineFor(NACL, 0, 20)).toThrow();
  });

  it('on a lane: salt on the ground, and the water that it still takes', () => {
    const lPerM2 = perArea(
      { si: toSi(40, 'gal/lane-mile'), dimension: 'volumePerLaneLength' },
      toSi(12, 'ft'),
    )!;
    expect(lPerM2).toBeCloseTo(0.025723, 6);
    const { saltKgPerM2, moreWaterM } = brineOnGround(NACL, lPerM2, 23.3, -5)!;
    near(saltKgPerM2, 0.00704058);
    near(moreWaterM! * 1000, 0.059140702);
    near(strengthAt(NACL, -5), 7.87909);
    near(
      perArea({ si: toSi(300, 'lb/lane-mile'), dimension: 'massPerLaneLength' }, toSi(12, 'ft')),
      0.023117555,
    );
  });

  it('dry salt is wetted by the ton, and the salt in the brine counts too', () => {
    expect(prewetting(NACL, 1000, 0.03, 23.3)).toEqual({
      brineL: 30,
      saltKg: expect.closeTo(8.21110581, 6) as number,
      share: expect.closeTo(0.00821110581, 9) as number,
    });
    // 10 gal on a short ton of 2000 lb.
    expect(prewetting(NACL, toSi(2, 'ton'), toSi(10, 'gal/ton'), 20)!.brineL).toBeCloseTo(toSi(20, 'gal'), 9);
    expect(prewetting(NACL, 1000, 0.03, 27)).toBeNull();
  });

  it('diluted by what it takes it freezes just there; a weak one freezes as it is', () => {
    const { saltKgPerM2, moreWaterM } = brineOnGround(CACL2, 0.03, 28, -12)!;
    const mix = 0.03 * brineDensity(CACL2, 28)! + moreWaterM! * 1000;
    expect(freezesAt(CACL2, (saltKgPerM2 / mix) * 100)).toBeCloseTo(-12, 9);
    expect(brineOnGround(NACL, 0.03, 10, -15)!.moreWaterM).toBeLessThan(0);
    expect([brineOnGround(NACL, 0.03, 10, 1)!.moreWaterM, brineOnGround(NACL, 0.03, 10, -25)!.moreWaterM]).toEqual([null, null]); // prettier-ignore
  });

  it('made, weighed by a hydrometer, and read back it is the same', () => {
    fc.assert(
      fc.property(fc.constantFrom(...BRINE_SALT_IDS), fc.double({ min: 0.5, max: 25.9, noNaN: true }), fc.double({ min: 1, max: 5000, noNaN: true }), (salt, percent, litres) => {
        const { saltKg, waterKg } = brineFor(salt, litres, percent)!;
        expect(brineStrength(salt, (saltKg + waterKg) / litres, 'kg/L')).toBeCloseTo(percent, 9);
      }),
    );
  }); // prettier-ignore
});
