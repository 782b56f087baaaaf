import { message } from '@steady-scatter/core/messages';
import { toResult } from '@steady-scatter/core/errors';
import {
  readPositive,
  readQuantity,
  UNITS,
  type MassUnit,
  type VolumeUnit,
} from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/record';
import { splitByPlan } from '@steady-scatter/core/season';
import { dayText } from '../ui/dayText.ts';
import { typedAs, type RecordArea } from './recordFor.ts';

/** What is typed when work is recorded; everything else is the sheet's, and the run's. */
export interface Typed {
  readonly by: string;
  readonly license: string;
  readonly note: string;
  /** Went out in all; or what was loaded and what was left. */
  readonly used: string;
  readonly loaded: string;
  readonly left: string;
  readonly packages: string;
  readonly day: string;
  readonly time: string;
  /** When it was done; empty: nobody said. */
  readonly until: string;
}

type Unit = MassUnit | VolumeUnit;

/** Reads an amount; nothing typed is null, and what cannot be read an error. */
const read = (text: string, unit: Unit, mayBeNone = false) =>
  toResult(() => {
    if (text.trim() === '') return null;
    const wanted = { kind: UNITS[unit].kind, bareUnit: unit, field: 'used' } as const;
    return mayBeNone
      ? readQuantity(text, wanted).si
      : readPositive(text, wanted, message('errors.what.amount')).si;
  });

/** What went out: as typed, or what was loaded less what was left; `lack`: why it cannot be told. */
export function usedOf({ used, loaded, left }: Typed, unit: Unit): { readonly si: number | null; readonly text: string; readonly lack: string | null } {
  const none = { si: null, text: '' };
  if (loaded.trim() === '' && left.trim() === '') {
    const { value, error } = read(used, unit);
    return error ? { ...none, lack: say('record.needsUsed') } : { si: value, text: used, lack: null };
  }
  const [full, rest] = [read(loaded, unit), read(left, unit, true)];
  if (full.error || rest.error || full.value === null || rest.value === null) return { ...none, lack: say('record.needsBoth') };
  if (rest.value > full.value || rest.value < 0) return { ...none, lack: say('record.moreLeft') };
  const si = full.value - rest.value;
  if (si === 0) return { ...none, lack: say('record.nothingOut') };
  return { si, text: typedAs(si, unit), lack: null };
} // prettier-ignore

/** What each area got: the whole that was typed, shared out as planned; else what was planned. */
export function amountsOf(areas: readonly RecordArea[], { si, text }: { readonly si: number | null; readonly text: string }, unit: Unit) {
  if (si === null) return areas.map(({ plannedSi }) => ({ text: typedAs(plannedSi, unit), from: 'planned' as const }));
  // One area alone got what was weighed, with its own digits.
  if (areas.length === 1) return [{ text, from: 'weighed' as const }];
  return splitByPlan(si, areas.map(({ plannedSi }) => plannedSi)).map((each) => ({ text: typedAs(each, unit), from: 'split' as const }));
} // prettier-ignore

/** Twice what was planned, or half as much again, is a slip more often than a run. */
const TOO_MUCH = 1.5;

/** The moments that were typed, by the clock of the device. */
export const momentsOf = ({ day, time, until }: Pick<Typed, 'day' | 'time' | 'until'>) => ({
  from: Date.parse(`${day}T${time || '12:00'}`),
  until: until === '' ? null : Date.parse(`${day}T${until}`),
});

/** What keeps it from being recorded; null: nothing does. @param how isSure: somebody saw the question and saves again; lotCame: the day of it, empty where nobody said */
export function lackOf(typed: Typed, areas: readonly RecordArea[], used: ReturnType<typeof usedOf>, { isSure, lotCame }: { readonly isSure: boolean; readonly lotCame: string }): string | null {
  if (areas.length === 0) return say('record.needsPlan');
  if (typed.by.trim() === '') return say('record.needsBy');
  if (used.lack) return used.lack;
  const planned = areas.reduce((sum, { plannedSi }) => sum + plannedSi, 0);
  if (used.si !== null && used.si > planned * TOO_MUCH && !isSure) return say('record.over');
  const { from, until } = momentsOf(typed);
  if (Number.isNaN(from) || from > Date.now() + 60_000) return say('record.future');
  if (until !== null && !(until >= from)) return say('record.endsBefore');
  return typed.day < lotCame && !isSure ? say('record.beforeLot', { day: dayText(lotCame) }) : null;
} // prettier-ignore
