import * as z from 'zod';
import { areaUnit, benchRateUnit, idOrNone, packageUnit, text, type InputOf } from '../fields/schema.ts';
import { SURFACES } from '../ground/surfaces.ts';
import { deicerInput, blankDeicer } from '../products/deicer.ts';
import { GROUND_STATES } from '../products/conditionLimits.ts';
import { PRODUCT_KIND_IDS, productInput } from '../products/product.ts';
import type { System } from '../quantities/units.ts';
import { TREATMENTS, TRENDS } from '../winter/guideInput.ts';

/** How what went out is known. */
export const AMOUNT_SOURCES = ['weighed', 'split', 'packages', 'planned'] as const;
export type AmountSource = (typeof AMOUNT_SOURCES)[number];

/** What became of what was swept up. */
export const SWEPT_TO = ['', 'reused', 'thrown-away'] as const;

/** What the weather was, as typed. */
export const weatherInput = z.object({
  pavement: text,
  air: text,
  soil: text,
  unit: z.enum(['degF', 'degC']),
  trend: z.enum(['', ...TRENDS]),
  wind: text,
  /** Hours until rain is due; empty: not said. */
  rain: text,
  ground: z.enum(['', ...GROUND_STATES]),
  sky: text,
});
export type WeatherInput = InputOf<typeof weatherInput>;

/** One product on one area, as it was put down: a row that is appended, with all that is needed to read it alone. */
export const applicationInput = z.object({
  /** Rows of one run share it: one round over several areas. */
  runId: z.uuid(),
  /** Which round of the storm; empty: of no storm. */
  round: text,
  /** When it was done, ISO 8601 in UTC; empty: nobody said. It began when the row happened. */
  until: text,
  /** The day where it was done, year-month-day; empty: that of the moment it began. */
  onDay: text,
  by: text,
  /** Among the people of the crew; empty: somebody else. */
  person: idOrNone,
  /** Where one is needed, and until when it holds. */
  license: text,
  licenseUntil: text,
  /** How far the clock of the device ran ahead of the server's when this was said, s; empty: together, or not known. */
  clockAhead: text,
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
  /** What it was set for, one time over the ground, in the unit of the rate; empty: not known. */
  settingRate: text,
  pace: text,
  spacing: text,
  weather: weatherInput,
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
  /** What the chart said on that day, and the sheet as it was typed then, with the first row of a run; none, and null: no chart, no sheet. */
  chartLines: z.array(z.object({ mark: text, rate: text })).max(60),
  sheet: z.object({ schemaVersion: z.int().min(1), input: z.record(z.string(), z.unknown()) }).nullable(),
  /** What was ticked before it began. */
  cautions: z.array(text).max(30),
  /** Pictures of it, by their ids. */
  photos: z.array(z.uuid()).max(20),
  note: text,
  /** What was seen weeks later. */
  look: text,
  /** Why it does not count; empty: it counts. */
  void: text,
  /** Why this row says it otherwise than the first; empty: it is the first. */
  correction: text,
});
export type ApplicationInput = InputOf<typeof applicationInput>;

/**
 * Weather of which nobody said anything yet.
 *
 * @example blankWeather('us').unit // 'degF'
 */
export const blankWeather = (system: System): WeatherInput => ({
  pavement: '',
  air: '',
  soil: '',
  unit: system === 'us' ? 'degF' : 'degC',
  trend: '',
  wind: '',
  rain: '',
  ground: '',
  sky: '',
});

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
    onDay: '',
    by: '',
    person: '',
    license: '',
    licenseUntil: '',
    clockAhead: '',
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
    settingRate: '',
    pace: '',
    spacing: '',
    weather: blankWeather(system),
    guide: { id: '', name: '', fromDay: '', situation: '', treatment: '', low: '', high: '', unit: '' },
    checks: [],
    water: '',
    label: null,
    chart: '',
    chartLines: [],
    sheet: null,
    cautions: [],
    photos: [],
    note: '',
    look: '',
    void: '',
    correction: '',
  };
}
