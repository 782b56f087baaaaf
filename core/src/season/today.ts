import { daysApart, daysUntil } from '../fields/days.ts';

/** What a day can ask of a crew, the most urgent kinds first. */
export const TODAY_KINDS = [
  'unsent',
  'run',
  'water',
  'overdue',
  'due',
  'held',
  'stale',
  'look',
  'short',
  'license',
] as const;
export type TodayKind = (typeof TODAY_KINDS)[number];

/** One line: what it is, of what, and where it is dealt with. */
export interface TodayLine {
  readonly kind: TodayKind;
  /** Of the job, the chart, the product or the person; empty: of several. */
  readonly name: string;
  /** The day it is about; empty: none. */
  readonly onDay: string;
  /** How many more of the kind there are. */
  readonly more: number;
  /** What leads to it: the id of a document, or of a record. */
  readonly id: string;
  /** It stands on a plan, and no sheet was made of it yet. */
  readonly isPlanned: boolean;
  /** Nothing keeps it from being done; false: something does. */
  readonly isReady: boolean;
}

/** A job with the days of its portions, as far as they are not recorded. */
export interface TodayJob {
  readonly id: string;
  readonly name: string;
  readonly days: readonly string[];
  readonly isReady: boolean;
  /** The days of its records. */
  readonly recorded: readonly string[];
}

/** What a plan says goes out together, and how it stands. */
export interface TodayPortion {
  readonly id: string;
  readonly name: string;
  readonly onDay: string;
  readonly isHeld: boolean;
}

export interface TodayFacts {
  readonly today: string;
  /** Records and photos that wait on this device. */
  readonly unsent: number;
  /** Work that is under way, by its job. */
  readonly runs: readonly { readonly id: string; readonly name: string }[];
  /** What was spread and is to be watered in. */
  readonly water: readonly { readonly id: string; readonly name: string; readonly onDay: string }[];
  readonly jobs: readonly TodayJob[];
  readonly portions: readonly TodayPortion[];
  readonly stale: readonly { readonly id: string; readonly name: string }[];
  readonly looks: readonly { readonly id: string; readonly name: string; readonly to: string }[];
  readonly short: readonly { readonly id: string; readonly name: string }[];
  readonly licenses: readonly { readonly id: string; readonly name: string; readonly until: string }[];
}

/** A person reads so many lines. */
export const MAX_LINES = 7;
/** What lies further off is no matter of today, days. */
const AHEAD = 7;
/** What was missed longer ago nobody catches up with. */
const BACK = 45;
/** A portion that was recorded so near to its day was it. */
const NEAR = 10;

const isNear = (one: string, other: string): boolean => daysApart(one, other) <= NEAR;

/** The portions that no record stands for. A record near to none of them is of one that came late: the last open one before it. */
function openDays({ days, recorded }: TodayJob): readonly string[] {
  const late = [...new Set(recorded)].filter((each) => !days.some((day) => isNear(each, day))).toSorted();
  const open = days.filter((day) => day !== '' && !recorded.some((each) => isNear(each, day)));
  return late.reduce((left, each) => {
    const done = left.findLast((day) => day < each);
    return left.filter((day) => day !== done);
  }, open);
}

/** Between so long ago and a week ahead. */
const isShown = (day: string, today: string): boolean =>
  daysUntil(day, today) <= BACK && daysUntil(today, day) <= AHEAD;

/** The next portion of a job that is not recorded. */
const openDay = (job: TodayJob, today: string): string | null =>
  openDays(job).find((day) => isShown(day, today)) ?? null;

/** As many lines as there is room for: the first of each kind, then further ones; where there are more kinds than lines, the most urgent. */
function roomFor(all: readonly TodayLine[]): TodayLine[] {
  const byKind = TODAY_KINDS.map((kind) => all.filter((line) => line.kind === kind)).filter((lines) => lines.length > 0).slice(0, MAX_LINES);
  const counts = byKind.map(() => 1);
  let left = MAX_LINES - counts.length;
  while (left > 0) {
    const index = byKind.findIndex((lines, kind) => counts[kind]! < lines.length);
    if (index < 0) break;
    counts[index]! += 1;
    left -= 1;
  }
  return byKind.flatMap((lines, kind) => {
    const shown = lines.slice(0, counts[kind]);
    const more = lines.length - shown.length;
    return shown.map((line, index) => (index === shown.length - 1 && more > 0 ? Object.assign({}, line, { more }) : line));
  });
} // prettier-ignore

/**
 * What a day asks of a crew: at most seven lines, each kind with its most urgent one, the rest counted.
 *
 * @example todayLines({ today: '2026-04-18', unsent: 2, runs: [], water: [], jobs: [], portions: [], stale: [], looks: [], short: [], licenses: [] })[0].kind // 'unsent'
 */
export function todayLines(facts: TodayFacts): TodayLine[] {
  const { today, unsent, runs, water, jobs, portions, stale, looks, short, licenses } = facts;
  const line = (kind: TodayKind, name: string, id: string, onDay = '', isReady = true): TodayLine => ({ kind, name, id, onDay, isReady, isPlanned: false, more: 0 });
  const open = jobs
    .flatMap((job) => {
      const day = openDay(job, today);
      return day === null ? [] : [{ job, day }];
    })
    .toSorted((a, b) => a.day.localeCompare(b.day) || a.job.name.localeCompare(b.job.name));
  const planned = portions
    .filter(({ onDay }) => isShown(onDay, today))
    .map(({ id, name, onDay, isHeld }) => Object.assign(line(isHeld ? 'held' : onDay < today ? 'overdue' : 'due', name, id, onDay, false), { isPlanned: true }));
  const ofJobs = open.map(({ job, day }) => line(day < today ? 'overdue' : 'due', job.name, job.id, day, job.isReady));
  return roomFor([
    ...runs.map(({ id, name }) => line('run', name, id)),
    ...water.map(({ id, name, onDay }) => line('water', name, id, onDay)),
    ...(unsent > 0 ? [{ ...line('unsent', '', ''), more: unsent }] : []),
    ...[...ofJobs, ...planned].toSorted((a, b) => a.onDay.localeCompare(b.onDay) || a.name.localeCompare(b.name)),
    ...stale.map(({ id, name }) => line('stale', name, id)),
    ...looks.toSorted((a, b) => a.to.localeCompare(b.to)).map(({ id, name, to }) => line('look', name, id, to)),
    ...short.map(({ id, name }) => line('short', name, id)),
    ...licenses.toSorted((a, b) => a.until.localeCompare(b.until)).map(({ id, name, until }) => line('license', name, id, until)),
  ]);
} // prettier-ignore
