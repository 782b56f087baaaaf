import { message, type Message } from '../../messages/message.ts';
import type { Kind } from '../../quantities/kinds.ts';
import type { RigKind } from '../../machines/kinds.ts';
import type { Working } from '../../working/working.ts';
import type { CourseTimings } from '../scatter.ts';
import type { ToolsInput } from '../tools.ts';
import type { Reading, UncertaintySource } from '../uncertainty.ts';

/** When a reading is taken: before product moves, at the course, while walking, after it. */
export type Moment = 'before' | 'course' | 'walk' | 'after';

/** One thing that a method asks for. */
export interface MethodField {
  readonly id: string;
  readonly label: Message;
  readonly kind: Extract<Kind, 'mass' | 'volume' | 'length' | 'time' | 'area' | 'pressure'> | 'count';
  /** An example; empty where it is taken only now and then. */
  readonly placeholder: string;
  readonly at: Moment;
  /** Taken when nothing is typed. */
  readonly otherwise?: number;
  /** It may be left out. */
  readonly optional?: boolean;
  /** May be 0: an empty hopper, a scale zeroed with the container on it. */
  readonly mayBeNone?: boolean;
}

/** What a run came to. */
export interface Worked {
  /** Product on each metre travelled (of each row, where rows are fed), kg/m; L/m of what is sprayed. */
  readonly outputPerM: number;
  /** 0: nothing came out. */
  readonly rateSi: number;
  /** Relative standard uncertainty from the readings. */
  readonly uReadings: number;
  /** What it is made of. */
  readonly sources: readonly UncertaintySource[];
  /** What was caught or is gone: kg, or L of what is sprayed. */
  readonly netSi: number;
  /** Step of the scale that it was weighed on, kg; null: nothing was weighed. */
  readonly stepKg: number | null;
  /** What each outlet gave, kg or L, and (max - min) / mean; null for a single catch. */
  readonly outlets: { readonly netSi: readonly number[]; readonly imbalance: number } | null;
  /** Times over the course that the rate rests on; null: it does not rest on any. */
  readonly timings: CourseTimings | null;
  /** What each nozzle let through, L/s; null: nothing was caught apart. */
  readonly flowsLPerS: readonly number[] | null;
  /** Pressure that it was made at, Pa; null: not read. */
  readonly pressurePa: number | null;
  /** Pace at which it was made, where it was timed. */
  readonly paceMPerS: number | null;
}

export type Readings = Readonly<Record<string, Reading>>;

/** What a run rests on beside its readings. */
export interface RunBasis {
  /** Pass spacing, hopper width or row spacing that the rate is worked out for, m. */
  readonly width: Reading;
  /** Spacing at which a weighed load was spread, m. */
  readonly runWidthM: number;
  readonly outlets: number;
  /** Rows that all outlets together feed at once. */
  readonly rows: number;
}

type Work = Omit<Worked, 'paceMPerS' | 'timings' | 'stepKg' | 'flowsLPerS' | 'pressurePa'> & Partial<Pick<Worked, 'flowsLPerS'>>; // prettier-ignore
export type Parts = Working['parts'][number][];
type Part = Parts[number];

/** What a run's line of arithmetic is put together from: what was typed, with the units of its bare numbers. */
export interface LineTerms {
  readonly open: Part;
  readonly close: Part;
  readonly over: Part;
  readonly less: Part;
  isTyped(id: string): boolean;
  mass(id: string): Part;
  volume(id: string): Part;
  length(id: string): Part;
  seconds(id: string): Part;
  area(id: string): Part;
  /** What went out: `( full − empty )`. */
  net(full: string, empty: string): Parts;
  /** The same of every outlet that was caught. */
  nets(): Parts;
  /** What it went on: `÷ ( length × width × passes )`. */
  ground(along: string): Parts;
  /** What was caught of each nozzle over its time: `( 480 mL + 470 mL ) ÷ 30 s`. */
  caughtVolumes(): Parts;
  /** `× number`, where it is more than one. */
  times(role: 'rows' | 'outlets', number: number): Parts;
  /** `÷ the times that the same ground was covered`, where that was typed. */
  timesOver(): Parts;
  /** `× the mean time over the course`. */
  courseTime(): Parts;
  /** From the spacing that a load was spread at to that of the calibration; none: they are the same. */
  otherSpacing(): Parts;
  /** `÷ ( length × width )`, whatever was fed at once. */
  ofOneRow(along: string): Parts;
  readonly outletsPerRow: number;
  /** Something was left, and weighed. */
  readonly isLeft: boolean;
}

/** Where a test is to be made. */
export interface Situation {
  readonly kind: RigKind;
  /** What is tested is sprayed: of a machine that does both, one of the two is. */
  readonly sprays: boolean;
  readonly tools: ToolsInput;
  /** A carrier of a pesticide may only go where its label allows. */
  readonly isPesticide: boolean;
}

/** What a test is made with. */
export type Tool =
  | 'machineScale'
  | 'tape'
  | 'watch'
  | 'ground'
  | 'smallScale'
  | 'tray'
  | 'tarp'
  | 'container'
  | 'buckets'
  | 'bags'
  | 'knownContainer'
  | 'knownLoad'
  | 'knownGround'
  | 'jugs'
  | 'gauge';

/** How well a method suits, 0 for not at all, and the reason. */
export type Verdict = readonly [score: number, why: Message];
export const no = (why: Message): Verdict => [0, why];

/** A way to test a machine: a file of its own holds all of it, and its table makes it one of them. */
export interface Method {
  /** What to do. */
  readonly how: Message;
  readonly needs: readonly Tool[];
  /** What the amount that goes out is planned as: a strip that is walked, a time of catching, or ground of known size. */
  readonly planned: 'strip' | 'time' | 'ground';
  /** What is sprayed is caught or measured by volume: for a machine that sprays. */
  readonly isWet?: boolean;
  /** A container of known content is filled, and the watch says when it should be full. */
  readonly fillsContainer?: boolean;
  /** What to do at each moment of a guided run, and what the moment is called where that differs. */
  readonly steps: Readonly<Record<Exclude<Moment, 'course'>, Message>> & {
    readonly called?: Partial<Record<Moment, Message>>;
  };
  fields(outlets: number): readonly MethodField[];
  /** Whether what was read of several outlets is enough; absent: all that is not optional is. */
  isWhole?(readings: Readings, outlets: number): boolean;
  /** From readings to output and rate. */
  work(readings: Readings, basis: RunBasis): Work;
  /** The same as a line of arithmetic, up to the rate. */
  line(terms: LineTerms): Parts;
  /** Whether it can be used here, and how well it suits. */
  suits(situation: Situation): Verdict;
}

export const mass = (
  id: string,
  label: Message,
  placeholder: string,
  at: Moment,
  more: Partial<MethodField> = {},
): MethodField => ({ id, label, kind: 'mass', placeholder, at, ...more });
export const tare = (label: Message): MethodField =>
  mass('tare', label, '0.74 kg', 'before', { mayBeNone: true });
export const LENGTH: MethodField = {
  id: 'length',
  label: message('readings.stripLength'),
  kind: 'length',
  placeholder: '60 ft',
  at: 'course',
};
export const PASSES: MethodField = {
  id: 'passes',
  label: message('readings.passes'),
  kind: 'count',
  placeholder: '1',
  at: 'course',
  otherwise: 1,
};
export const WALK_TIME: MethodField = {
  id: 'time',
  label: message('readings.stripTime'),
  kind: 'time',
  placeholder: '',
  at: 'walk',
  optional: true,
};

export const WALKED = message('methods.walked');

/** What all rows take that are fed at once: the width that one pass covers. */
export const swath = ({ width, rows }: RunBasis): Reading => ({
  si: width.si * rows,
  resolutionSi: width.resolutionSi * rows,
});

/** A result of the whole machine as that of each row: what goes on a metre of one. */
export const ofEachRow = <R extends { readonly outputPerM: number }>(result: R, { rows }: RunBasis): R => ({
  ...result,
  outputPerM: result.outputPerM / rows,
});
