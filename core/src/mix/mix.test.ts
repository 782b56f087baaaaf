import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { message } from '../messages/index.ts';
import { blankProduct, evaluateProduct, type Nutrient, type ProductInput } from '../index.ts';
import { cheapestMix, findMix, type MixRequest } from './index.ts';

const product = (id: string, grade: string, price: string, more: Partial<ProductInput> = {}) => ({
  id,
  name: id,
  product: evaluateProduct({
    ...blankProduct('dry-fertilizer', 'metric'),
    name: id,
    grade,
    price,
    package: { size: '100', unit: 'kg' },
    ...more,
  }),
});
const need = (nutrient: Nutrient, kgPerHa: number, waived = false) => ({
  nutrient,
  kgPerM2: kgPerHa / 1e4,
  waived,
});
const request = (more: Partial<MixRequest>): MixRequest => ({
  products: [],
  needs: [],
  tolerance: 0,
  caps: [],
  quickCap: null,
  slowFloor: null,
  mixesForms: false,
  fromStockForM2: null,
  ...more,
});
const ratesOf = (answer: ReturnType<typeof findMix>) =>
  Object.fromEntries((cheapestMix(answer)?.parts ?? []).map(({ id, rateSi }) => [id, rateSi * 1e4]));

// 100 kg N and 60 kg K2O on each ha. Straight: 46-0-0 at 0.50 a kg and 0-0-60 at 0.40; complete: 20-0-15 at 0.35.
const SHELF = [
  product('urea', '46-0-0', '50'),
  product('potash', '0-0-60', '40'),
  product('complete', '20-0-15', '35'),
];
const NEEDS = [need('N', 100), need('K2O', 60)];

describe('the case solved by hand', () => {
  it('is the straight pair: 217.39 kg and 100 kg, 148.70 a ha', () => {
    const answer = findMix(request({ products: SHELF, needs: NEEDS }));
    expect(answer.outcome).toBe('met');
    expect(ratesOf(answer)).toEqual({
      urea: expect.closeTo(100 / 0.46, 6),
      potash: expect.closeTo(100, 6),
    });
    expect(cheapestMix(answer)!.centsPerM2 * 1e4).toBeCloseTo((100 / 0.46) * 50 + 100 * 40, 4);
    expect(answer.options).toHaveLength(1);
  });

  it('never goes below a need, however wide the tolerance; each further product has to save something', () => {
    const answer = findMix(request({ products: SHELF, needs: NEEDS, tolerance: 0.3 }));
    expect(ratesOf(answer)).toEqual({
      urea: expect.closeTo(100 / 0.46, 6),
      potash: expect.closeTo(100, 6),
    });
    // 20-0-15 alone: N from 100 to 130 wants 500 to 650 kg, K2O from 60 to 78 wants 400 to 520: 500 kg at 175.00.
    expect(answer.options.map(({ parts }) => parts.length)).toEqual([1, 2]);
    expect(answer.options[0]!.parts).toMatchObject([{ id: 'complete', rateSi: expect.closeTo(0.05, 9) }]);
    expect(answer.options[0]!.centsPerM2).toBeGreaterThan(answer.options[1]!.centsPerM2);
  });
});

describe('dry and liquid', () => {
  const liquid = product('juice', '28-0-0', '20', { kind: 'liquid-fertilizer', package: { size: '100', unit: 'L' }, density: { text: '1.28', unit: 'kg/L' } }); // prettier-ignore
  const potash = SHELF[1]!;
  it('are not mixed unless it is asked for; that they would meet the needs is said', () => {
    const apart = findMix(request({ products: [liquid, potash], needs: NEEDS }));
    expect(apart).toMatchObject({ outcome: 'nearly', mixingWouldMeet: true });
    expect(cheapestMix(apart)!.parts).toHaveLength(1);
    const together = findMix(request({ products: [liquid, potash], needs: NEEDS, mixesForms: true }));
    expect(together).toMatchObject({ outcome: 'met', mixingWouldMeet: false });
    expect(cheapestMix(together)!.parts.map(({ id }) => id)).toEqual(['juice', 'potash']);
  });
  it('the form that meets the needs is taken, and of two that do the cheaper', () => {
    const both = findMix(request({ products: [...SHELF, liquid], needs: [need('N', 100)] }));
    expect(cheapestMix(both)!.parts.map(({ id }) => id)).toEqual(['juice']);
    const dry = findMix(request({ products: [...SHELF, liquid], needs: NEEDS }));
    expect(cheapestMix(dry)!.parts.map(({ id }) => id)).toEqual(['urea', 'potash']);
  });
});

describe('what cannot be met', () => {
  it('says that no product holds it', () => {
    const answer = findMix(request({ products: [SHELF[0]!], needs: NEEDS }));
    expect(answer.outcome).toBe('nearly');
    expect(ratesOf(answer)).toEqual({ urea: expect.closeTo(100 / 0.46, 3) });
    expect(answer.misses).toEqual([
      {
        nutrient: 'K2O',
        standing: 'short',
        kgPerM2: expect.closeTo(0.006, 9),
        because: { kind: 'none-holds-it' },
      },
    ]);
  });

  it('leaves out what brings phosphate where none is wanted, unless that is waived', () => {
    const shelf = [product('triple', '15-15-15', '30'), SHELF[0]!];
    const needs = [need('N', 100), need('P2O5', 0), need('K2O', 60)];
    const strict = findMix(request({ products: shelf, needs }));
    expect(strict.leftOut).toEqual([{ id: 'triple', name: 'triple', reason: 'brings-unwanted' }]);
    expect(strict.misses[0]?.because).toEqual({
      kind: 'limits',
      limits: [message('mix.limit.brings')],
    });
    const waived = findMix(
      request({ products: shelf, needs: [needs[0]!, need('P2O5', 0, true), needs[2]!] }),
    );
    expect(waived.outcome).toBe('met');
    expect(cheapestMix(waived)?.deliveries[1]).toMatchObject({
      standing: 'along',
      kgPerM2: expect.closeTo(0.006, 9),
    });
  });

  it('names the limit that stands in the way', () => {
    const caps = [
      {
        nutrient: 'N' as const,
        kgPerM2: 0.005,
        because: message('checks.rule.most-at-once', { nutrient: 'nitrogen' }),
      },
    ];
    const answer = findMix(request({ products: SHELF, needs: NEEDS, caps }));
    expect(cheapestMix(answer)!.deliveries[0]!.kgPerM2).toBeCloseTo(0.005, 9);
    expect(answer.misses).toMatchObject([
      {
        nutrient: 'N',
        standing: 'short',
        because: { kind: 'limits', limits: [{ id: 'checks.rule.most-at-once' }] },
      },
    ]);
    const stock = [product('urea', '46-0-0', '50', { stock: '0.5' }), SHELF[1]!];
    const little = findMix(request({ products: stock, needs: NEEDS, fromStockForM2: 1e4 }));
    expect(little.misses.map(({ because }) => because)).toContainEqual({
      kind: 'limits',
      limits: [message('mix.limit.stock', { name: 'urea' })],
    });
  });

  it('names the need that is full where products bring two things', () => {
    const answer = findMix(request({ products: [product('sulfate', '0-0-50 + 17 S', '50')], needs: [need('K2O', 90), need('S', 10)] })); // prettier-ignore
    expect(answer.misses).toMatchObject([
      {
        nutrient: 'K2O',
        standing: 'short',
        because: { limits: [{ id: 'mix.limit.full', facts: { nutrient: { id: 'kinds.nutrient.S' } } }] },
      },
    ]);
  });

  it('answers a shelf of nothing, of no price and of no density in words, and no need with an error', () => {
    const odd = [
      product('free?', '20-0-0', ''),
      product('sand', '', '5'),
      { ...product('liquid', '28-0-0', '30'), product: evaluateProduct({ ...blankProduct('liquid-fertilizer', 'metric'), grade: '28-0-0', price: '9', package: { size: '10', unit: 'L' } }) },
    ]; // prettier-ignore
    const answer = findMix(request({ products: odd, needs: NEEDS }));
    expect(answer).toMatchObject({ outcome: 'nothing', options: [] });
    expect(answer.leftOut.map(({ reason }) => reason)).toEqual(['no-price', 'no-analysis', 'no-density']);
    expect(() => findMix(request({ products: SHELF, needs: [need('N', 0)] }))).toThrow('mix.no-need');
  });
});

describe('rules', () => {
  const slow = product('coated', '40-0-0', '120', { slowShare: '80' });
  it('quick nitrogen is capped and the slow share has a floor', () => {
    const capped = findMix(
      request({ products: [SHELF[0]!, slow], needs: [need('N', 100)], quickCap: 0.005 }),
    );
    // 46 u + 40 c = 100, quick 46 u + 8 c = 50: c = 156.25, u = 81.52
    expect(ratesOf(capped)).toEqual({
      urea: expect.closeTo(37.5 / 0.46, 5),
      coated: expect.closeTo(156.25, 5),
    });
    const floor = findMix(request({ products: [SHELF[0]!, slow], needs: [need('N', 100)], slowFloor: 0.25 }));
    expect(cheapestMix(floor)?.slowShare).toBeCloseTo(0.25, 9);
  });

  it('a label’s highest rate holds', () => {
    const held = product('urea', '46-0-0', '50', { labelRate: { low: '', high: '150', mostAtOnce: '', mostPerYear: '', unit: 'kg/ha' } }); // prettier-ignore
    const answer = findMix(request({ products: [held, SHELF[1]!, SHELF[2]!], needs: NEEDS }));
    expect(ratesOf(answer)['urea']).toBeLessThanOrEqual(150 * (1 + 1e-12));
  });
});

it('what costs nothing does not make the mix endless, and of mixes at one price the lighter is taken', () => {
  const free = [product('meal', '5-0-0', '0'), product('gift', '40-0-0', '0')];
  const answer = findMix(request({ products: free, needs: [need('N', 100)], tolerance: 0.1 }));
  expect(ratesOf(answer)).toEqual({ gift: expect.closeTo(250, 4) });
  expect(cheapestMix(answer)?.centsPerM2).toBe(0);
});

const grades = fc.record({
  n: fc.integer({ min: 0, max: 46 }),
  p: fc.integer({ min: 0, max: 20 }),
  k: fc.integer({ min: 0, max: 33 }),
  price: fc.integer({ min: 0, max: 90 }),
  slow: fc.option(fc.integer({ min: 0, max: 100 }), { nil: null }),
  most: fc.option(fc.integer({ min: 20, max: 400 }), { nil: null }),
});
const rateLabel = (most: number | null) => ({ low: '', high: '', mostAtOnce: most === null ? '' : String(most), mostPerYear: '', unit: 'kg/ha' as const }); // prettier-ignore
const shelf = fc
  .array(grades, { minLength: 1, maxLength: 9 })
  .map((all) => all.map(({ n, p, k, price, slow, most }, index) => product(`p${index}`, `${n}-${p}-${k}`, String(price), { slowShare: slow === null ? '' : String(slow), labelRate: rateLabel(most) }))); // prettier-ignore
const problem = fc.record({
  products: shelf,
  n: fc.integer({ min: 1, max: 150 }),
  p: fc.integer({ min: 0, max: 60 }),
  k: fc.integer({ min: 0, max: 120 }),
  waived: fc.boolean(),
  tolerance: fc.constantFrom(0, 0.05, 0.1, 0.3),
  cap: fc.option(fc.integer({ min: 0, max: 120 }), { nil: null }),
  quick: fc.option(fc.integer({ min: 0, max: 80 }), { nil: null }),
  slowFloor: fc.option(fc.constantFrom(0.1, 0.25, 0.5), { nil: null }),
});
const posed = problem.map(({ products, n, p, k, waived, tolerance, cap, quick, slowFloor }) =>
  request({
    products,
    needs: [need('N', n), need('P2O5', p, waived), need('K2O', k, waived)],
    tolerance,
    caps:
      cap === null
        ? []
        : [
            {
              nutrient: 'N' as const,
              kgPerM2: cap / 1e4,
              because: message('mix.limit.own', { nutrient: 'N' }),
            },
          ],
    quickCap: quick === null ? null : quick / 1e4,
    slowFloor,
  }),
);

it('no mix that is returned breaks a limit, whatever else it cannot do', () => {
  fc.assert(
    fc.property(posed, (asked) => {
      const answer = findMix(asked);
      for (const mix of answer.options) {
        for (const { kgPerM2, need: wanted } of mix.deliveries)
          if (wanted.kgPerM2 === 0 && !wanted.waived) expect(kgPerM2).toBe(0);
        for (const { nutrient, kgPerM2 } of asked.caps)
          expect(mix.deliveries.find((one) => one.nutrient === nutrient)!.kgPerM2).toBeLessThanOrEqual(
            kgPerM2,
          );
        if (asked.quickCap !== null) expect(mix.quickKgPerM2).toBeLessThanOrEqual(asked.quickCap);
        if (asked.slowFloor !== null && mix.slowShare !== null)
          expect(mix.slowShare).toBeGreaterThanOrEqual(asked.slowFloor - 1e-12);
        for (const { id, rateSi } of mix.parts) {
          const most = asked.products.find((one) => one.id === id)!.product.mostAtOnce;
          expect(rateSi).toBeLessThanOrEqual(most ?? Infinity);
          expect(rateSi).toBeGreaterThan(0);
        }
      }
    }),
    { seed: 4117, numRuns: 600 },
  );
});

/** The least cost by looking at every vertex: all ways to make as many limits tight as there are products. */
function byVertices(asked: MixRequest): number | null {
  const { products, needs, tolerance } = asked;
  const share = ({ product: { grade } }: (typeof products)[number], nutrient: Nutrient) =>
    grade!.stated[nutrient] ?? 0;
  const rows = needs.flatMap(({ nutrient, kgPerM2 }) => {
    const a = products.map((one) => share(one, nutrient));
    return [{ a, b: kgPerM2 * (1 + tolerance) }, { a: a.map((x) => -x), b: -kgPerM2 }]; // prettier-ignore
  });
  products.forEach((_, index) => rows.push({ a: products.map((__, i) => (i === index ? -1 : 0)), b: 0 }));
  const size = products.length;
  let least: number | null = null;
  const choose = (from: number, picked: number[]): void => {
    if (picked.length < size) {
      for (let i = from; i < rows.length; i++) choose(i + 1, [...picked, i]);
      return;
    }
    const x = gauss(picked.map((i) => [...rows[i]!.a, rows[i]!.b]));
    if (!x || rows.some(({ a, b }) => a.reduce((sum, c, i) => sum + c * x[i]!, 0) > b + 1e-10)) return;
    const cost = x.reduce((sum, rate, i) => sum + rate * (products[i]!.product.priceCents! / 100), 0);
    if (least === null || cost < least) least = cost;
  };
  choose(0, []);
  return least;
}

function subsetsOf<T>(all: readonly T[], count: number): T[][] {
  if (count === 0) return [[]];
  return all.flatMap((one, index) =>
    subsetsOf(all.slice(index + 1), count - 1).map((rest) => [one].concat(rest)),
  );
}

function gauss(m: number[][]): number[] | null {
  const n = m.length;
  for (let c = 0; c < n; c++) {
    const pivot = m
      .slice(c)
      .reduce((best, row, i) => (Math.abs(row[c]!) > Math.abs(m[best]![c]!) ? c + i : best), c);
    if (Math.abs(m[pivot]![c]!) < 1e-9) return null;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = m[r]![c]! / m[c]![c]!;
      for (let k = c; k <= n; k++) m[r]![k]! -= f * m[c]![k]!;
    }
  }
  return m.map((row, i) => row[n]! / row[i]!);
}

it('costs as little as the best of all vertices, found another way', () => {
  const small = fc.record({
    products: fc
      .array(grades, { minLength: 2, maxLength: 4 })
      .map((all) =>
        all.map(({ n, p, k, price }, index) => product(`p${index}`, `${n}-${p}-${k}`, String(price))),
      ),
    n: fc.integer({ min: 20, max: 150 }),
    k: fc.integer({ min: 20, max: 120 }),
    tolerance: fc.constantFrom(0.05, 0.2),
  });
  let met = 0;
  fc.assert(
    fc.property(small, ({ products, n, k, tolerance }) => {
      const asked = request({ products, needs: [need('N', n), need('K2O', k)], tolerance });
      const answer = findMix(asked);
      const vertices = byVertices(asked);
      expect(answer.outcome === 'met').toBe(vertices !== null);
      if (vertices === null) return;
      met += 1;
      // One, two and three products, each as cheap as the best of all vertices of all such subsets.
      const least = (count: number) => {
        const costs = subsetsOf(products, count).flatMap(
          (some) => byVertices({ ...asked, products: some }) ?? [],
        );
        return costs.length === 0 ? Infinity : Math.min(...costs);
      };
      const offered = (count: number) =>
        Math.min(Infinity, ...answer.options.filter(({ parts }) => parts.length <= count).map(({ centsPerM2 }) => centsPerM2)); // prettier-ignore
      for (const count of [1, 2, 3]) {
        const [found, known] = [offered(count), least(Math.min(count, products.length))];
        if (known === Infinity) expect(found).toBe(Infinity);
        else expect(found).toBeCloseTo(known, 5);
      }
    }),
    { seed: 904, numRuns: 250 },
  );
  expect(met).toBeGreaterThan(50);
});
