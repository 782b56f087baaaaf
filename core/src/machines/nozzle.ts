import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readName } from '../fields/heading.ts';
import { flowUnit, notes, pressureUnit, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { readPositive } from '../quantities/quantity.ts';

/** What is known of a nozzle: its flow at a pressure, and the pressures that it is made for, in the unit of that one. */
export const nozzleFacts = z.object({
  name: text,
  flow: z.object({ text, unit: flowUnit }),
  at: z.object({ text, unit: pressureUnit }),
  low: text,
  high: text,
});

/** A nozzle of the crew as typed. */
export const nozzleInput = nozzleFacts.extend({ notes });
export type NozzleFacts = InputOf<typeof nozzleFacts>;
export type NozzleInput = InputOf<typeof nozzleInput>;

export interface NozzleResult {
  /** Rated flow, L/s, and the pressure that it is stated at, Pa; null: one of them is not known. */
  readonly rated: { readonly flowLPerS: number; readonly pressurePa: number } | null;
  readonly lowPa: number | null;
  readonly highPa: number | null;
  readonly errors: readonly InputError[];
}

/**
 * A nozzle of which nothing is known yet.
 *
 * @example blankNozzle('us').at.unit // 'psi'
 */
export const blankNozzle = (system: 'us' | 'metric'): NozzleInput => ({
  name: '',
  flow: { text: '', unit: system === 'us' ? 'gal/min' : 'L/min' },
  at: { text: '', unit: system === 'us' ? 'psi' : 'bar' },
  low: '',
  high: '',
  notes: '',
});

/**
 * Reads what is known of a nozzle.
 *
 * @param field path of the nozzle, for errors; empty: it stands by itself
 * @example evaluateNozzleFacts({ ...blankNozzle('us'), flow: { text: '0.4', unit: 'gal/min' }, at: { text: '40', unit: 'psi' } }).errors // []
 */
export function evaluateNozzleFacts({ flow, at, low, high }: NozzleFacts, field = ''): NozzleResult {
  const { errors, readIfPresent } = collect();
  const path = (name: string) => (field === '' ? name : `${field}.${name}`);
  const pressure = (text: string, name: string) =>
    readIfPresent(text, () => readPositive(text, { kind: 'pressure', bareUnit: at.unit, field: path(name) }, message('errors.what.pressure')).si); // prettier-ignore
  const flowLPerS = readIfPresent(flow.text, () => readPositive(flow.text, { kind: 'flow', bareUnit: flow.unit, field: path('flow.text') }, message('errors.what.flow')).si); // prettier-ignore
  const pressurePa = pressure(at.text, 'at.text');
  const [lowPa, highPa] = [pressure(low, 'low'), pressure(high, 'high')];
  if (lowPa !== null && highPa !== null && lowPa > highPa)
    errors.push(new InputError('product.range', { field: path('low'), hint: `${high} to ${low}` }));
  return {
    rated: flowLPerS !== null && pressurePa !== null ? { flowLPerS, pressurePa } : null,
    lowPa,
    highPa,
    errors,
  };
}

/**
 * Reads a nozzle of the crew: what is known of it, under the name that it is found by.
 *
 * @example evaluateNozzle(blankNozzle('us')).errors[0].code // 'name.empty'
 */
export function evaluateNozzle(input: NozzleInput): NozzleResult {
  const { errors, tryRead } = collect();
  tryRead(() => readName(input.name, 'name', message('errors.example.nozzle')));
  const facts = evaluateNozzleFacts(input);
  return { ...facts, errors: [...errors, ...facts.errors] };
}
