import { expect, it } from 'vitest';
import { blankCalibration, blankRun, evaluateCalibration } from '../testing/index.ts';
import { blankRig, evaluateRig } from '../machines/index.ts';
import { blankWidthTest, evaluateWidthTest } from '../width/index.ts';
import { blankWorksheet, evaluateWorksheet } from '../worksheet/index.ts';

const WRONG = ['x', ' ', '2026-02-30', '18.4.2026', '2026-04-18T08:00'];
const signOff = { setting: '7', by: '', state: '', pace: { course: '', unit: 'm', time: '' }, width: { text: '', unit: 'm', by: 'chosen' }, second: '', lot: '', grain: '', runs: [] } as const; // prettier-ignore
const named = { name: 'Red spreader' };

/** Every day that somebody types, with the field that it stands at. */
const DAYS: [string, (day: string) => readonly { readonly code: string; readonly field: string }[]][] = [
  ['runs.0.onDay', (day) => evaluateCalibration({ ...blankCalibration('metric'), ...named, runs: [blankRun('r', day, 'run-out')] }).errors], // prettier-ignore
  ['signOff.onDay', (day) => evaluateCalibration({ ...blankCalibration('metric'), ...named, signOff: { ...signOff, onDay: day } }).errors], // prettier-ignore
  ['services.0.onDay', (day) => evaluateRig({ ...blankRig('metric'), ...named, services: [{ id: 's', onDay: day, what: 'Bearings', dueDay: '' }] }).errors], // prettier-ignore
  ['services.0.dueDay', (day) => evaluateRig({ ...blankRig('metric'), ...named, services: [{ id: 's', onDay: '', what: 'Bearings', dueDay: day }] }).errors], // prettier-ignore
  ['onDay', (day) => evaluateWidthTest({ ...blankWidthTest('metric'), ...named, onDay: day }).errors], // prettier-ignore
  ['accepted.onDay', (day) => evaluateWidthTest({ ...blankWidthTest('metric'), ...named, accepted: { text: '5', unit: 'm', onDay: day, by: '' } }).errors], // prettier-ignore
  ['rules.soilTestDay', (day) => { const sheet = blankWorksheet('metric', 'a'); return evaluateWorksheet({ ...sheet, rules: { ...sheet.rules, soilTestDay: day } }).errors; }], // prettier-ignore
];

it.each(DAYS)('%s is read as a day, and what is none is said there', (field, errorsOf) => {
  for (const day of WRONG)
    expect([day, errorsOf(day).filter((error) => error.field === field)]).toMatchObject([day, [{ code: 'date.unreadable' }]]); // prettier-ignore
  for (const day of ['2026-04-18', ''])
    expect(errorsOf(day).filter((error) => error.field === field)).toEqual([]);
});
