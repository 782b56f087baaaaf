import { describe, expect, it } from 'vitest';
import { MAX_LINES, todayLines, type TodayFacts } from './index.ts';

const facts = (more: Partial<TodayFacts> = {}): TodayFacts => ({ today: '2026-04-18', unsent: 0, runs: [], water: [], jobs: [], portions: [], stale: [], looks: [], short: [], licenses: [], ...more }); // prettier-ignore
const job = (name: string, days: string[], more: { isReady?: boolean; recorded?: string[] } = {}) => ({ id: name, name, days, isReady: true, recorded: [], ...more }); // prettier-ignore
const told = (of: Partial<TodayFacts>) => todayLines(facts(of)).map(({ kind, name, onDay, more }) => [kind, name, onDay, more].filter((each) => each !== '' && each !== 0).join(' ')); // prettier-ignore

describe('what a day asks', () => {
  it('jobs of this week and those that were missed; not what is recorded, far ahead or long ago', () => {
    const jobs = [job('Pitch', ['2026-04-20']), job('Lawn', ['2026-04-10']), job('Done', ['2026-04-15'], { recorded: ['2026-04-16'] }), job('May', ['2026-05-20']), job('Winter', ['2026-01-10'])]; // prettier-ignore
    expect(told({ jobs })).toEqual(['overdue Lawn 2026-04-10', 'due Pitch 2026-04-20']);
  });

  it('of several portions the next that is not recorded', () => {
    const days = ['2026-03-20', '2026-04-18', '2026-05-18'];
    expect(told({ jobs: [job('Lawn', days, { recorded: ['2026-03-22'] })] })).toEqual([
      'due Lawn 2026-04-18',
    ]);
    expect(told({ jobs: [job('Lawn', days)] })).toEqual(['overdue Lawn 2026-03-20']);
  });

  it('one that was spread late is spread, however late; the one that is due is not', () => {
    const [march, april] = ['2026-03-05', '2026-04-15'];
    expect(told({ jobs: [job('Lawn', [march], { recorded: ['2026-04-02'] })] })).toEqual([]);
    expect(told({ jobs: [job('Lawn', [march], { recorded: ['2026-02-01'] })] })).toEqual([
      'overdue Lawn 2026-03-05',
    ]);
    // Spread in two goes, and nearer to the first: it was the first.
    const twice = { recorded: ['2026-03-20', '2026-03-21'] };
    expect(told({ jobs: [job('Lawn', [march, april], twice)] })).toEqual(['overdue Lawn 2026-04-15']);
    // The second was spread on its day: what came late before it was the first.
    const both = { recorded: ['2026-03-25', april] };
    expect(told({ jobs: [job('Lawn', [march, april], both)] })).toEqual([]);
  });

  it('a job that is held says so', () => {
    expect(todayLines(facts({ jobs: [job('Lawn', ['2026-04-18'], { isReady: false })] }))[0]).toMatchObject({ isReady: false }); // prettier-ignore
  });

  it('what a plan says, without a sheet yet: due, missed, or held and why', () => {
    const portions = [{ id: 'a', name: 'Potash on Pitch', onDay: '2026-04-10', isHeld: false }, { id: 'b', name: 'Feed on Lawn', onDay: '2026-04-20', isHeld: false }, { id: 'c', name: 'Top-up', onDay: '2026-04-17', isHeld: true }, { id: 'd', name: 'Old', onDay: '2026-02-17', isHeld: false }, { id: 'e', name: 'May', onDay: '2026-05-17', isHeld: true }]; // prettier-ignore
    expect(told({ portions, jobs: [job('Meadow', ['2026-04-19'])] })).toEqual(['overdue Potash on Pitch 2026-04-10', 'due Meadow 2026-04-19', 'due Feed on Lawn 2026-04-20', 'held Top-up 2026-04-17']); // prettier-ignore
    expect(todayLines(facts({ portions })).map(({ isPlanned }) => isPlanned)).toEqual([true, true, true]);
  });

  it('what is under way and what is to be watered come first; with ten kinds the least urgent three wait', () => {
    const one = [{ id: 'x', name: 'x', onDay: '2026-04-18', to: '2026-04-20', until: '2026-05-01', isHeld: true }]; // prettier-ignore
    const lines = todayLines(facts({ unsent: 1, runs: one, water: one, jobs: [job('Lawn', ['2026-04-18']), job('Pitch', ['2026-04-01'])], portions: one, stale: one, looks: one, short: one, licenses: one })); // prettier-ignore
    expect(lines.map(({ kind }) => kind)).toEqual(['unsent', 'run', 'water', 'overdue', 'due', 'held', 'stale']); // prettier-ignore
  });

  it('at most seven lines, each kind among them, the rest counted', () => {
    const many = (name: string, count: number) => Array.from({ length: count }, (_, index) => ({ id: `${name}${index}`, name: `${name} ${index}`, to: `2026-04-${20 + index}`, until: `2026-05-1${index}` })); // prettier-ignore
    const lines = todayLines(facts({ unsent: 3, jobs: [job('Lawn', ['2026-04-18']), job('Pitch', ['2026-04-01'])], stale: many('chart', 4), looks: many('look', 3), short: many('feed', 2), licenses: many('person', 2) })); // prettier-ignore
    expect(lines).toHaveLength(MAX_LINES);
    expect(new Set(lines.map(({ kind }) => kind)).size).toBe(7);
    expect(lines.find(({ kind }) => kind === 'stale')).toMatchObject({ name: 'chart 0', more: 3 });
    expect(lines[0]).toMatchObject({ kind: 'unsent', more: 3 });
  });

  it('where there is room, further ones of the most urgent kinds', () => {
    const jobs = ['a', 'b', 'c'].map((name) => job(name, ['2026-04-18']));
    expect(told({ jobs, stale: [{ id: 'x', name: 'Red' }] })).toEqual(['due a 2026-04-18', 'due b 2026-04-18', 'due c 2026-04-18', 'stale Red']); // prettier-ignore
  });

  it('nothing asks for nothing', () => {
    expect(todayLines(facts())).toEqual([]);
  });
});
