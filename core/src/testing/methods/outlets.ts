import { message } from '../../messages/message.ts';
import { finite } from '../../errors/preconditions.ts';
import { netOf, type Net, type Reading } from '../uncertainty.ts';
import type { MethodField, Readings, Worked } from './method.ts';

/** What was caught of an outlet. */
export interface Catch {
  readonly grossKg: Reading;
  readonly tareKg: Reading;
}

/** Net weights of several catches. */
export const netsOf = (catches: readonly Catch[]): Net[] =>
  catches.map(({ grossKg, tareKg }, index) => netOf(grossKg, tareKg, `catches.${index}.tare`));

/** Net weights taken together. */
export const sumOfNets = (nets: readonly Net[]): Net => ({
  si: finite(nets.reduce((sum, { si }) => sum + si, 0)),
  uSi: finite(Math.hypot(...nets.map(({ uSi }) => uSi))),
});

/** (max - min) / mean; 0 where nothing came out. */
export function imbalanceOf(netSi: readonly number[]): number {
  const mean = netSi.reduce((sum, kg) => sum + kg, 0) / netSi.length;
  return mean > 0 ? finite((Math.max(...netSi) - Math.min(...netSi)) / mean) : 0;
}

/** Readings under each outlet: "gross" for one, "gross.1", "gross.2" for several. */
export const perOutlet = (field: MethodField, outlets: number): MethodField[] =>
  outlets === 1
    ? [field]
    : Array.from({ length: outlets }, (_, index) => ({ ...field, id: `${field.id}.${index + 1}`, label: message('readings.outlet', { reading: field.label, number: index + 1 }), optional: index > 0 })); // prettier-ignore

const ofOutlet = (name: string, at: number, outlets: number): string =>
  outlets === 1 ? name : `${name}.${at + 1}`;

/** Something was weighed of a further outlet. */
const hasPart = (readings: Readings, outlets: number): boolean =>
  Array.from({ length: outlets - 1 }, (_, index) => index + 1).some(
    (at) => readings[ofOutlet('gross', at, outlets)] !== undefined || readings[ofOutlet('tare', at, outlets)] !== undefined, // prettier-ignore
  );

/** One catch for each outlet; a single one where all were caught together; null while some are missing. */
export function catchesOf(readings: Readings, outlets: number): Catch[] | null {
  const all = Array.from({ length: outlets }, (_, index) => {
    const [grossKg, tareKg] = [
      readings[ofOutlet('gross', index, outlets)],
      readings[ofOutlet('tare', index, outlets)],
    ];
    return grossKg && tareKg ? { grossKg, tareKg } : null;
  });
  const made = all.filter((each) => each !== null);
  const isTogether = outlets > 1 && made.length === 1 && all[0] !== null && !hasPart(readings, outlets);
  return isTogether || made.length === outlets ? made : null;
}

/** What each outlet gave, and how far they are apart; null for a single catch. */
export const apartOf = (catches: readonly Catch[]): Worked['outlets'] => {
  if (catches.length === 1) return null;
  const netSi = catches.map(({ grossKg, tareKg }) => grossKg.si - tareKg.si);
  return { netSi, imbalance: imbalanceOf(netSi) };
};
