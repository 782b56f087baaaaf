// npm run benchmark:coverage: how long the coverage simulation takes here, beside the same work in C. Figures, no verdicts.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { assumedPattern, simulateCoverage, type CoverageRequest } from '@steady-scatter/core/coverage';
import { planPasses } from '@steady-scatter/core/passes';

const WARM = 10;
const RUNS = 21;

const medianOf = (times: readonly number[]): number => times.toSorted((a, b) => a - b)[times.length >> 1]!;

/** A square of a hectare with passes over it: back and forth, unsteady, off the line. */
function request(passes: number, cellM: number, headingDeg: number): CoverageRequest {
  const ground = [[{ x: 0, y: 0 }, { x: 100, y: 0 }, { x: 100, y: 100 }, { x: 0, y: 100 }]]; // prettier-ignore
  const plan = planPasses({ ground, spacingM: 100 / passes, trim: { rounds: 0, stripM: 1, pathM: 1, edgeOn: 'right' }, heading: headingDeg, last: 'even', directions: 1, refillAt: null }); // prettier-ignore
  const pattern = assumedPattern('triangle', plan.spacingM);
  const tracks = plan.legs.map(({ line }) => ({ line, perM: 0.015 * plan.spacingM, pattern }));
  return { ground, area: ground, edges: [], tracks, targetPerM2: 0.015, cellM, seed: 1, wanderM: 0.2, paceSd: 0.05, flows: true, opensLateM: 0, shutsEarlyM: 0 }; // prettier-ignore
}

function timed(asked: CoverageRequest): number {
  const times = Array.from({ length: WARM + RUNS }, () => {
    const start = performance.now();
    simulateCoverage(asked);
    return performance.now() - start;
  });
  return medianOf(times.slice(WARM));
}

/** The same in C on one core; null without a compiler. */
function inC(cellM: number): number | null {
  const folder = mkdtempSync(join(tmpdir(), 'coverage-'));
  try {
    const program = join(folder, 'coverage');
    execFileSync('gcc', ['-O3', '-o', program, join(import.meta.dirname, 'coverage.c'), '-lm']);
    const told = execFileSync(program, [String(cellM), String(WARM + RUNS)], { stdio: ['ignore', 'pipe', 'ignore'] }); // prettier-ignore
    return medianOf(told.toString().trim().split('\n').map(Number).slice(WARM));
  } catch {
    return null;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const say = (line: string): void => void process.stdout.write(`${line}\n`);

const own = timed(request(60, 0.1, 0));
const other = inC(0.1);
say(`1 ha at 0.1 m, 60 passes: median ${own.toFixed(1)} ms; turned 30°: ${timed(request(60, 0.1, 30)).toFixed(1)} ms`); // prettier-ignore
say(other === null ? 'No C compiler here.' : `The same in C (gcc -O3): median ${other.toFixed(1)} ms, so ${(own / other).toFixed(2)} times`); // prettier-ignore
say(`A first look at 0.5 m: median ${timed(request(60, 0.5, 0)).toFixed(1)} ms`);
say('\ncells touched by passes, in millions: milliseconds, nanoseconds each');
for (const [passes, cellM] of [[30, 0.2], [60, 0.2], [30, 0.1], [60, 0.1], [120, 0.1], [60, 0.07]] as const) {
  // Each pass touches a strip of twice the spacing; about half a metre more on both sides for whoever wanders.
  const touched = (passes * (200 / passes + 1) * 100) / cellM ** 2;
  const ms = timed(request(passes, cellM, 0));
  say(`${(touched / 1e6).toFixed(2)}: ${ms.toFixed(1)} ms, ${((ms * 1e6) / touched).toFixed(1)} ns (${passes} passes, ${cellM} m)`);
} // prettier-ignore
const { heapUsed, arrayBuffers } = process.memoryUsage();
say(`\nin memory at the end: ${((heapUsed + arrayBuffers) / 1e6).toFixed(0)} MB`);
