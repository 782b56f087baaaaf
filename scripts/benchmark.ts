// npm run benchmark: how long the heavy parts of core take on this machine. Figures, no verdicts.
import {
  blankPart,
  blankSite,
  measureArea,
  originOf,
  readBoundaryFile,
  evaluatePaces,
  cleanBoundary,
  type PartInput,
  type ShapeKind,
} from '@steady-scatter/core/ground';
import { findMix, type MixRequest } from '@steady-scatter/core/mix';
import type { Nutrient } from '@steady-scatter/core/need';
import { blankProduct, evaluateProduct } from '@steady-scatter/core/products';
import { advise } from '@steady-scatter/core/testing';
import { PASS_PATTERN_IDS, overlay, patternOf, resample, seeded, sweep } from '@steady-scatter/core/width';

function report(what: string, times: number[]): void {
  const sorted = times.toSorted((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(1);
  process.stdout.write(
    `${what}: median ${at(0.5)} ms, 95 % within ${at(0.95)} ms, longest ${at(1)} ms (${times.length} runs)\n`,
  );
}

const need = (nutrient: Nutrient, kgPerHa: number) => ({ nutrient, kgPerM2: kgPerHa / 1e4, waived: false });

/** 60 products with sensible grades and prices, four needs, and limits to make twelve constraints. */
function mixRequest(seed: number): MixRequest {
  const random = seeded(seed);
  const whole = (most: number) => Math.floor(random() * (most + 1));
  const products = Array.from({ length: 60 }, (_, index) => ({
    id: `p${index}`,
    name: `p${index}`,
    product: evaluateProduct({
      ...blankProduct('dry-fertilizer', 'metric'),
      name: `p${index}`,
      grade: `${whole(46)}-${whole(20)}-${whole(30)} + ${whole(3)} S`,
      slowShare: String(whole(100)),
      price: (10 + random() * 40).toFixed(2),
      package: { size: '25', unit: 'kg' },
    }),
  }));
  return {
    products,
    needs: [need('N', 90), need('P2O5', 20), need('K2O', 70), need('S', 8)],
    tolerance: 0.05,
    caps: [
      { nutrient: 'N', kgPerM2: 0.0098, because: 'a' },
      { nutrient: 'P2O5', kgPerM2: 0.003, because: 'b' },
      { nutrient: 'K2O', kgPerM2: 0.009, because: 'c' },
      { nutrient: 'S', kgPerM2: 0.002, because: 'd' },
    ],
    quickCap: 0.005,
    slowFloor: 0.3,
    mixesForms: false,
    fromStockForM2: null,
  };
}

const outcomes: Record<string, number> = {};
const times = Array.from({ length: 60 }, (_, seed) => {
  const request = mixRequest(seed + 1);
  const start = performance.now();
  const { outcome, options, isCutOff } = findMix(request);
  const took = performance.now() - start;
  const key = `${outcome} with ${options.map(({ parts }) => parts.length).join(', ')} products${isCutOff ? ', triples among the most promising' : ''}`; // prettier-ignore
  outcomes[key] = (outcomes[key] ?? 0) + 1;
  return took;
});
report('Mixes of one to three of 60 products, 4 needs and 6 limits', times);
process.stdout.write(
  `  ${Object.entries(outcomes)
    .map(([key, count]) => `${count} × ${key}`)
    .join('; ')}\n`,
);

/** 40 shapes over each other and 20 cut-outs in them, as a placed drawing. */
function drawing(seed: number): PartInput[] {
  const random = seeded(seed);
  const kinds: readonly ShapeKind[] = [
    'rectangle',
    'circle',
    'ellipse',
    'triangle',
    'half-circle',
    'trapezoid',
  ];
  return Array.from({ length: 60 }, (_, index) => {
    const blank = blankPart(kinds[index % kinds.length] ?? 'rectangle', 'm', `p${index}`);
    const cut = index >= 40;
    const lengths = blank.lengths.map(() => ((cut ? 2 : 8) + random() * (cut ? 3 : 12)).toFixed(2));
    return { ...blank, cut, lengths, at: { x: random() * 80, y: random() * 60, turn: random() * 360 } };
  });
}

const noPace = evaluatePaces(blankSite('a', 'metric').pace, 'pace');
// The first few warm the engine up, as the first frames of a drag do.
const drawings = Array.from({ length: 70 }, (_, index) => drawing(index + 1));
report(
  'Area of 40 shapes and 20 cut-outs, overlapping',
  drawings
    .map((parts) => {
      const start = performance.now();
      measureArea(parts, 'placed', noPace);
      return performance.now() - start;
    })
    .slice(10),
);

/** A walk round a lake with a point each few decimetres. */
function walkFile(points: number): string {
  const random = seeded(points);
  const rows = Array.from({ length: points }, (_, index) => {
    const angle = (index / points) * 2 * Math.PI;
    const far = 0.01 * (1 + 0.2 * Math.sin(5 * angle)) + random() * 1e-6;
    return `<trkpt lat="${(47.4 + far * Math.sin(angle)).toFixed(8)}" lon="${(-31.2 + far * Math.cos(angle)).toFixed(8)}"><ele>188.2</ele></trkpt>`;
  });
  return `<gpx version="1.1"><trk><name>Walk</name><trkseg>${rows.join('\n')}</trkseg></trk></gpx>`;
}

const file = walkFile(200_000);
report(
  `GPX walk of 200 000 points (${(file.length / 1e6).toFixed(0)} MB), read and surveyed`,
  Array.from({ length: 3 }, () => {
    const start = performance.now();
    const { traces } = readBoundaryFile(file, false, () => undefined);
    for (const trace of traces) cleanBoundary(trace, originOf(traces));
    return performance.now() - start;
  }),
);

const runs200 = Array.from({ length: 200 }, (_, index) => ({ setting: (index % 40) + 1, rate: ((index % 40) + 1) ** 1.3 * (1 + 0.02 * Math.sin(index)), uReadings: 0.012 })); // prettier-ignore
report(
  'Curve and next setting from 200 runs at 40 marks',
  Array.from({ length: 60 }, (_, index) => {
    const marks = Array.from({ length: 61 }, (__, mark) => mark);
    const start = performance.now();
    advise({ marks, closed: 0, firstFlow: null, runs: runs200, target: 20 + index, tolerance: 0.05, ceiling: null, start: 20 }); // prettier-ignore
    return performance.now() - start;
  }).slice(10),
);

const throwPattern = [0, 0.3, 0.9, 1.8, 2.7, 3.3, 3.6, 3.8, 3.9, 3.7, 3.4, 3, 2.3, 1.5, 0.7, 0.2, 0];
const trayPlaces = throwPattern.map((_, index) => -4 + index / 2);
const onePass = patternOf(trayPlaces, throwPattern);
report(
  'Spacing sweep of 17 trays, 1 cm steps, both modes',
  Array.from({ length: 12 }, () => {
    const start = performance.now();
    for (const mode of PASS_PATTERN_IDS) sweep(onePass, 0.5, mode, 0.15);
    return performance.now() - start;
  }).slice(2),
);
report(
  'One spacing of 17 trays, as the slider asks for at each frame',
  Array.from({ length: 400 }, (_, index) => {
    const start = performance.now();
    overlay(onePass, 3 + index / 100, 'back-and-forth');
    return performance.now() - start;
  }),
);
report(
  '2 000 resamples of CV and widest spacing, 17 trays',
  Array.from({ length: 4 }, (_, index) => {
    const start = performance.now();
    resample({ positionsM: trayPlaces, rows: [throwPattern], uDeposits: throwPattern.map(() => 0.05), traySpacingM: 0.5, spacingM: 5, limit: 0.15, times: 2000 }, seeded(index)); // prettier-ignore
    return performance.now() - start;
  }),
);
