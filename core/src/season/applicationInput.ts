import * as z from 'zod';
import { areaUnit, benchRateUnit, idOrNone, packageUnit, text, type InputOf } from '../fields/schema.ts';
import { SURFACES } from '../ground/surfaces.ts';
import { deicerInput, blankDeicer } from '../products/deicer.ts';
import { PRODUCT_KIND_IDS, productInput } from '../products/product.ts';
import type { System } from '../quantities/units.ts';
import { TREATMENTS, TRENDS } from '../winter/guideInput.ts';

/** How what went out is known. */
export const AMOUNT_SOURCES = ['weighed', 'split', 'packages', 'planned'] as const;
export type AmountSource = (typeof AMOUNT_SOURCES)[number];

/** What became of what was swept up. */
export const SWEPT_TO = ['', 'reused', 'thrown-away'] as const;

/** One product on one area, as it was put down: a row that is appended, with all that is needed to read it alone. */
export const applicationInput = z.object({
  /** Rows of one run share it: one round over several areas. */
  runId: z.uuid(),
  /** Which round of the storm; empty: of no storm. */
  round: text,
  /** When it was done, ISO 8601 in UTC; empty: nobody said. It began when the row happened. */
  until: text,
  by: text,
  /** Where one is needed. */
  license: text,
  /** The area: where it stands among the sites, what it is called, and how much of it was treated. */
  site: idOrNone,
  area: idOrNone,
  siteName: text,
  areaName: text,
  size: z.object({ text, unit: areaUnit }),
  surface: z.enum(SURFACES),
  /** The product as it was on that day. */
  product: z.object({
    id: idOrNone,
    name: text,
    kind: z.enum(PRODUCT_KIND_IDS),
    grade: text,
    lot: text,
    /** Of a liquid, kg/L; empty: by its strength. */
    density: text,
    deicer: deicerInput,
  }),
  machine: z.object({ id: idOrNone, name: text, calibration: idOrNone }),
  /** What was needed of it, as it was said on the sheet; empty: nothing was. */
  need: text,
  /** What was meant, of one run over the ground: in one direction, or two at right angles with half of it each. */
  rate: z.object({ text, unit: benchRateUnit }),
  directions: z.enum(['one', 'two']),
  /** What this area was to get, in the unit of the amount; empty: nobody worked it out. */
  planned: text,
  /** What went out on this area. */
  amount: z.object({ text, unit: packageUnit, from: z.enum(AMOUNT_SOURCES) }),
  /** Whole packages that were opened. */
  packages: text,
  /** Left in the machine and poured back, of the whole run. */
  leftover: z.object({ text, unit: packageUnit }),
  /** Swept up afterwards on this area. */
  swept: z.object({ text, unit: packageUnit, to: z.enum(SWEPT_TO) }),
  setting: text,
  pace: text,
  spacing: text,
  weather: z.object({
    pavement: text,
    air: text,
    unit: z.enum(['degF', 'degC']),
    trend: z.enum(['', ...TRENDS]),
    wind: text,
    sky: text,
  }),
  /** The line of the guide that was followed, as it stood. */
  guide: z.object({
    id: idOrNone,
    name: text,
    /** The day from which its version holds. */
    fromDay: text,
    situation: text,
    treatment: z.enum(['', ...TREATMENTS]),
    low: text,
    high: text,
    unit: text,
  }),
  /** Rules that were broken, and why they were overridden. */
  checks: z.array(z.object({ said: text, why: text })).max(40),
  /** Water after it: how much, by when, who. */
  water: text,
  /** The label, and the chart with its setting, as they stood on that day; null and empty: none. */
  label: productInput.nullable(),
  chart: text,
  note: text,
  /** What was seen weeks later. */
  look: text,
  /** Why it does not count; empty: it counts. */
  void: text,
  /** Why this row says it otherwise than the first; empty: it is the first. */
  correction: text,
});
export type ApplicationInput = InputOf<typeof applicationInput>;

const NO_RUN = '00000000-0000-7000-8000-000000000000';

/**
 * An application of which nothing is known yet.
 *
 * @example blankApplication('us').size.unit // 'ft2'
 */
export function blankApplication(system: System): ApplicationInput {
  const us = system === 'us';
  const mass = us ? 'lb' : 'kg';
  return {
    runId: NO_RUN,
    round: '',
    until: '',
    by: '',
    license: '',
    site: '',
    area: '',
    siteName: '',
    areaName: '',
    size: { text: '', unit: us ? 'ft2' : 'm2' },
    surface: 'pavement',
    product: { id: '', name: '', kind: 'dry-deicer', grade: '', lot: '', density: '', deicer: blankDeicer(system) }, // prettier-ignore
    machine: { id: '', name: '', calibration: '' },
    need: '',
    rate: { text: '', unit: us ? 'lb/1000 ft2' : 'g/m2' },
    directions: 'one',
    planned: '',
    amount: { text: '', unit: mass, from: 'weighed' },
    packages: '',
    leftover: { text: '', unit: mass },
    swept: { text: '', unit: mass, to: '' },
    setting: '',
    pace: '',
    spacing: '',
    weather: { pavement: '', air: '', unit: us ? 'degF' : 'degC', trend: '', wind: '', sky: '' },
    guide: { id: '', name: '', fromDay: '', situation: '', treatment: '', low: '', high: '', unit: '' },
    checks: [],
    water: '',
    label: null,
    chart: '',
    note: '',
    look: '',
    void: '',
    correction: '',
  };
}
