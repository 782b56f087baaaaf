import type { AreaRun, PlacedFill, RunSheet, Zone } from '@steady-scatter/core/runSheet';
import type { LengthUnit, UnitId } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/load';
import { WIND_NAMES } from './names.ts';
import { shownIn } from '../units/shownIn.ts';

/** "1 h 5 min": never 0. */
export function durationText(seconds: number): string {
  const minutes = Math.max(1, Math.round(seconds / 60));
  return say('load.duration', { hours: Math.floor(minutes / 60), minutes: minutes % 60 });
}

/** A length without digits that nobody tapes: 9 ft, 14.3 ft. */
export const lengthText = (m: number, unit: LengthUnit): string =>
  shownIn(m, unit, 3)
    .replace(/(\.\d*?)0+(?=\s)/, '$1')
    .replace(/\.(?=\s)/, '');

/** "b" of a pass that is parted; nothing of a whole one. */
export const partText = ({ part, parts }: { part: number; parts: number }): string =>
  parts > 1 ? String.fromCodePoint(97 + Math.min(25, part)) : '';

/** Where a fill should run out. */
export function fillEndText({ runsOut }: PlacedFill, unit: LengthUnit): string {
  if (!runsOut) return say('load.fill.end');
  const left = lengthText(runsOut.leftM, unit);
  if (runsOut.zone === 'trim') return say('load.fill.trim', { number: runsOut.number, left });
  const towards = runsOut.towards ? WIND_NAMES[runsOut.towards] : 'none';
  return say('load.fill.pass', { number: runsOut.number, part: partText(runsOut), left, towards });
}

/** What a zone is called. */
export function zoneText(
  { zone }: Pick<Zone, 'zone'>,
  { zones }: Pick<AreaRun, 'zones'>,
  throws: boolean,
): string {
  if (zone === 'trim') return say(throws ? 'load.zone.trim' : 'load.zone.trimWhole');
  if (zone === 'second') return say('load.zone.second');
  return say(zones.some((other) => other.zone === 'second') ? 'load.zone.firstOf' : 'load.zone.first');
}

/** Marks along an edge: all of a few, the first ones and the last of many. */
export function flagsText(marks: readonly string[]): string {
  const SHOWN = 12;
  return marks.length <= SHOWN
    ? marks.join(', ')
    : say('load.plan.more', { first: marks.slice(0, SHOWN - 1).join(', '), last: marks.at(-1)! });
}

/** How much walking is a sentence. */
export const totalsText = ({ totals, areas }: RunSheet, amount: UnitId, length: LengthUnit): string =>
  say('load.totals', {
    amount: shownIn(totals.amountSi, amount),
    count: areas.length,
    fills: totals.fills,
    walked: lengthText(totals.walkedM, length),
    time: durationText(totals.seconds),
  });
