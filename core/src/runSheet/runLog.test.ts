import { describe, expect, it } from 'vitest';
import { planPasses } from '../passes/index.ts';
import {
  beginRun,
  elapsedS,
  paceOfPass,
  paceOfRun,
  pauseRun,
  rateByFill,
  runLogInput,
  tapPass,
  untapPass,
  walkedBy,
} from './index.ts';

const at = (seconds: number) => ({ steadyMs: seconds * 1000, wallMs: 1e12 + seconds * 1000 });
const seconds = (log: ReturnType<typeof beginRun>) => log.watch.laps.map((lap) => lap.seconds);

describe('a run', () => {
  it('one tap begins it, each further one ends a pass', () => {
    const log = [0, 31, 60.5].reduce((run, when) => tapPass(run, at(when)), beginRun('a', ''));
    expect(seconds(log)).toEqual([31, 29.5]);
    expect(log.watch.from).toEqual(at(60.5));
    expect(runLogInput.parse(JSON.parse(JSON.stringify(log)))).toEqual(log);
  });

  it('a pause in a pass is not walked', () => {
    const paused = pauseRun(tapPass(beginRun('a', ''), at(0)), at(12));
    expect(paused.watch.from).toBeNull();
    expect(pauseRun(paused, at(40))).toBe(paused);
    expect(elapsedS(paused, at(40))).toBe(12);
    expect(elapsedS(tapPass(paused, at(132)), at(135))).toBe(15);
    // On again after two minutes, and 18 s to the end of it.
    const log = tapPass(tapPass(paused, at(132)), at(150));
    expect(seconds(log)).toEqual([30]);
    expect(log.carriedS).toBe(0);
  });

  it('a tap by mistake is taken back, a bounce of the finger is none', () => {
    const log = tapPass(tapPass(tapPass(beginRun('a', ''), at(0)), at(30)), at(30.1));
    expect(seconds(log)).toEqual([30]);
    expect(seconds(untapPass(log))).toEqual([]);
  });

  it('goes on after a reload by the clock of the wall, and doubts that pass', () => {
    const begun = tapPass(beginRun('a', ''), at(500));
    const log = tapPass(begun, { steadyMs: 3000, wallMs: 1e12 + 531_000 });
    expect(log.watch.laps).toEqual([{ seconds: 31, doubtful: true }]);
    expect(pauseRun(begun, { steadyMs: 3000, wallMs: 1e12 + 510_000 }).carriedS).toBe(10);
  });
});

describe('what it tells', () => {
  it('9 % slow is 9 % heavy where it flows, and nothing where wheels meter', () => {
    const pass = { lengthM: 40, paceMPerS: 1.34, turnS: 0 };
    expect(paceOfPass((40 / 1.34) * 1.09, { ...pass, flows: true }).heavyBy).toBeCloseTo(0.09, 9);
    expect(paceOfPass((40 / 1.34) * 1.09, { ...pass, flows: false })).toMatchObject({ heavyBy: 0, slowBy: expect.closeTo(0.09, 9) }); // prettier-ignore
    // A turn of 5 s belongs to it.
    expect(paceOfPass(40 / 1.34 + 5, { ...pass, turnS: 5, flows: true }).slowBy).toBeCloseTo(0, 9);
  });

  it('passes together, each with its turn; what is in doubt is left out', () => {
    const legs = planPasses({ ground: [[{ x: 0, y: 0 }, { x: 9, y: 0 }, { x: 9, y: 40 }, { x: 0, y: 40 }]], spacingM: 3, trim: { rounds: 0, stripM: 1, pathM: 1, edgeOn: 'right' }, heading: 0, last: 'even', directions: 1, refillAt: null }).legs; // prettier-ignore
    const laps = [{ seconds: 45, doubtful: false }, { seconds: 900, doubtful: true }, { seconds: 42, doubtful: false }]; // prettier-ignore
    // Two of 40 m at 1 m/s with a turn of 3 s are 86 s; they took 87.
    expect(paceOfRun(laps, legs, { paceMPerS: 1, turnS: 3, flows: true })).toEqual({ passes: 2, slowBy: expect.closeTo(1 / 86, 9), heavyBy: expect.closeTo(1 / 86, 9) }); // prettier-ignore
    expect(paceOfRun(laps.slice(1, 2), legs, { paceMPerS: 1, turnS: 3, flows: true })).toBeNull();
  });

  it('how far it is, and what a fill that ran out early says', () => {
    const { legs } = planPasses({ ground: [[{ x: 0, y: 0 }, { x: 9, y: 0 }, { x: 9, y: 40 }, { x: 0, y: 40 }]], spacingM: 3, trim: { rounds: 0, stripM: 1, pathM: 1, edgeOn: 'right' }, heading: 0, last: 'even', directions: 1, refillAt: null }); // prettier-ignore
    expect(walkedBy(legs, 2, 10, 1.3)).toBeCloseTo(93, 9);
    // It is at its end and nobody tapped yet.
    expect(walkedBy(legs, 2, 100, 1.3)).toBeCloseTo(120, 9);
    expect(walkedBy(legs, 3, 5, 1.3)).toBeCloseTo(120, 9);
    // 16 kg at 75 g/m should last 213.33 m; it ran out at 200.
    expect(rateByFill(16, 200, 0.075)).toBeCloseTo(1.0666667, 6);
  });
});
