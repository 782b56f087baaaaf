import * as z from 'zod';
import { lengthText, massUnit, notes, text, type InputOf } from '../fields/schema.ts';
import { RIG_KIND_IDS } from './kinds.ts';
import { paceInput } from './readPace.ts';
import { blankScale, scaleInput } from './scale.ts';
import { blankSpray, sprayInput } from './spray.ts';

/** What was done to a machine, and when it is due again. */
const service = z.object({ id: z.string().max(60), onDay: text, what: text, dueDay: text });
export type ServiceInput = InputOf<typeof service>;

const lines = z.array(text).max(60);

/** A machine as typed. */
export const rigInput = z.object({
  name: text,
  kind: z.enum(RIG_KIND_IDS),
  /** The control that is tested. */
  control: scaleInput,
  /** A second one that stays as it is during a test: part of each chart's key. Without marks there is none. */
  second: scaleInput,
  /** Of a row distributor: how many outlets it has, and whether all feed one row or each its own. */
  outlets: z.object({ count: text, feeds: z.enum(['one-row', 'own-rows']) }),
  hopper: z.object({ size: text, unit: massUnit }),
  /** Hopper width of a drop spreader, usual pass spacing of a rotary, row spacing of a row distributor. */
  width: lengthText,
  /** Usual pace: a course and the time for it. */
  pace: paceInput,
  /** Own additions to what is looked at before use and after it. */
  before: lines,
  after: lines,
  services: z.array(service).max(200),
  spray: sprayInput,
  notes,
});
export type RigInput = InputOf<typeof rigInput>;
export type Feeds = RigInput['outlets']['feeds'];

/**
 * A machine of which nothing is known yet.
 *
 * @example blankRig('us').hopper.unit // 'lb'
 */
export const blankRig = (system: 'us' | 'metric'): RigInput => {
  const length = system === 'us' ? 'ft' : 'm';
  return {
    name: '',
    kind: 'push-rotary',
    control: blankScale(),
    second: { ...blankScale(), name: '' },
    outlets: { count: '', feeds: 'own-rows' },
    hopper: { size: '', unit: system === 'us' ? 'lb' : 'kg' },
    width: { text: '', unit: length },
    pace: { course: '', unit: length, time: '' },
    before: [],
    after: [],
    services: [],
    spray: blankSpray(system),
    notes: '',
  };
};
