import type { Kind } from './kinds.ts';

/** The units that are used together: those of the United States, or metric ones. */
export type System = 'us' | 'metric';

/** One unit: what it measures, how it is written, its size in SI, and what people type for it. */
export interface Unit {
  readonly kind: Kind;
  /** As shown beside a number. */
  readonly symbol: string;
  /** SI value of one unit; for temperatures the size of one degree. */
  readonly toSi: number;
  /** SI value of the unit's zero; only temperatures have one. */
  readonly zeroAt?: number;
  /** Absent where both systems use it. */
  readonly system?: System;
  /** Of what over what, for a rate. */
  readonly parts?: { readonly over: string; readonly under: string };
  /** Other spellings, lower case, without spaces and full stops. */
  readonly spellings: readonly string[];
}

// Exact by definition: international yard and pound (1959), US gallon of 231 cubic inches, standard gravity.
const INCH = 0.0254;
const FOOT = 12 * INCH;
const YARD = 3 * FOOT;
const MILE = 5280 * FOOT;
const POUND = 0.45359237;
const GALLON = 231 * (INCH * 10) ** 3;
const ACRE = 43560 * FOOT ** 2;
const GRAVITY = 9.80665;

const MASS = {
  kg: {
    system: 'metric',
    symbol: 'kg',
    toSi: 1,
    spellings: ['kilo', 'kilos', 'kilogram', 'kilograms', 'kgs'],
  },
  g: { system: 'metric', symbol: 'g', toSi: 1e-3, spellings: ['gram', 'grams', 'gm', 'gms', 'gr'] },
  t: { system: 'metric', symbol: 't', toSi: 1000, spellings: ['tonne', 'tonnes'] },
  lb: { system: 'us', symbol: 'lb', toSi: POUND, spellings: ['lbs', 'pound', 'pounds', '#'] },
  oz: { system: 'us', symbol: 'oz', toSi: POUND / 16, spellings: ['ounce', 'ounces', 'ozs'] },
  ton: { system: 'us', symbol: 'ton', toSi: 2000 * POUND, spellings: ['tons', 'shortton', 'shorttons'] },
} as const;

const VOLUME = {
  L: {
    system: 'metric',
    symbol: 'L',
    toSi: 1,
    spellings: ['l', 'litre', 'litres', 'liter', 'liters', 'ltr'],
  },
  mL: {
    system: 'metric',
    symbol: 'mL',
    toSi: 1e-3,
    spellings: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'],
  },
  gal: { system: 'us', symbol: 'gal', toSi: GALLON, spellings: ['gallon', 'gallons', 'gals'] },
  qt: { system: 'us', symbol: 'qt', toSi: GALLON / 4, spellings: ['quart', 'quarts', 'qts'] },
  pt: { system: 'us', symbol: 'pt', toSi: GALLON / 8, spellings: ['pint', 'pints', 'pts'] },
  'fl oz': {
    system: 'us',
    symbol: 'fl oz',
    toSi: GALLON / 128,
    spellings: ['floz', 'fluidounce', 'fluidounces', 'flozs'],
  },
} as const;

const LENGTH = {
  m: { system: 'metric', symbol: 'm', toSi: 1, spellings: ['metre', 'metres', 'meter', 'meters'] },
  cm: {
    system: 'metric',
    symbol: 'cm',
    toSi: 0.01,
    spellings: ['centimetre', 'centimetres', 'centimeter', 'centimeters'],
  },
  mm: {
    system: 'metric',
    symbol: 'mm',
    toSi: 1e-3,
    spellings: ['millimetre', 'millimetres', 'millimeter', 'millimeters'],
  },
  km: {
    system: 'metric',
    symbol: 'km',
    toSi: 1000,
    spellings: ['kilometre', 'kilometres', 'kilometer', 'kilometers'],
  },
  ft: { system: 'us', symbol: 'ft', toSi: FOOT, spellings: ["'", 'foot', 'feet'] },
  in: { system: 'us', symbol: 'in', toSi: INCH, spellings: ['"', "''", 'inch', 'inches'] },
  yd: { system: 'us', symbol: 'yd', toSi: YARD, spellings: ['yds', 'yard', 'yards'] },
  mi: { system: 'us', symbol: 'mi', toSi: MILE, spellings: ['mile', 'miles'] },
} as const;

const AREA = {
  m2: {
    system: 'metric',
    symbol: 'm²',
    toSi: 1,
    spellings: ['sqm', 'squaremetre', 'squaremetres', 'squaremeter', 'squaremeters'],
  },
  ha: { system: 'metric', symbol: 'ha', toSi: 1e4, spellings: ['hectare', 'hectares'] },
  ft2: {
    system: 'us',
    symbol: 'ft²',
    toSi: FOOT ** 2,
    spellings: ['sqft', 'sf', 'squarefoot', 'squarefeet', 'sqfeet', 'sqfoot'],
  },
  yd2: {
    system: 'us',
    symbol: 'yd²',
    toSi: YARD ** 2,
    spellings: ['sqyd', 'squareyard', 'squareyards', 'sqyards'],
  },
  acre: { system: 'us', symbol: 'acre', toSi: ACRE, spellings: ['ac', 'acres'] },
} as const;

/** The areas that a rate can be per: the plain ones, and the round numbers that labels use. */
export const RATE_AREAS = {
  '1000 ft2': {
    system: 'us',
    symbol: '1000 ft²',
    toSi: 1000 * FOOT ** 2,
    spellings: ['1000ft2', '1000sqft', '1000squarefeet', '1000sf', '1000sqfeet'],
  },
  '100 m2': {
    system: 'metric',
    symbol: '100 m²',
    toSi: 100,
    spellings: ['100m2', '100sqm', '100squaremetres', '100squaremeters'],
  },
  ...AREA,
} as const;

const ROW = {
  'm of row': {
    system: 'metric',
    symbol: 'm of row',
    toSi: 1,
    spellings: ['mofrow', 'rowm', 'm', 'metreofrow', 'meterofrow'],
  },
  '100 row ft': {
    system: 'us',
    symbol: '100 row ft',
    toSi: 100 * FOOT,
    spellings: ['100rowft', '100rowfeet', '100ftofrow'],
  },
} as const;

const LANE = {
  'lane-mile': { system: 'us', symbol: 'lane-mile', toSi: MILE, spellings: ['lanemile'] },
  'lane-km': {
    system: 'metric',
    symbol: 'lane-km',
    toSi: 1000,
    spellings: ['lanekm', 'lanekilometre', 'lanekilometer'],
  },
} as const;

const FLOW = {
  'L/min': { system: 'metric', symbol: 'L / min', toSi: 1 / 60, spellings: ['lpm', 'litre/min', 'liter/min', 'l/minute'] },
  'mL/min': { system: 'metric', symbol: 'mL / min', toSi: 1e-3 / 60, spellings: ['ml/minute'] },
  'mL/s': { system: 'metric', symbol: 'mL / s', toSi: 1e-3, spellings: ['ml/sec'] },
  'gal/min': { system: 'us', symbol: 'gal / min', toSi: GALLON / 60, spellings: ['gpm', 'gallon/min', 'gallons/min', 'gal/minute'] },
  'fl oz/min': { system: 'us', symbol: 'fl oz / min', toSi: GALLON / 128 / 60, spellings: ['floz/min', 'floz/minute'] },
} as const; // prettier-ignore

/** How much of something stands in each volume of a finished mix. */
const IN_MIX = {
  'mL/L': { system: 'metric', symbol: 'mL / L', toSi: 1e-3, spellings: ['ml/litre', 'ml/liter'] },
  'fl oz/gal': { system: 'us', symbol: 'fl oz / gal', toSi: 1 / 128, spellings: ['floz/gal', 'floz/gallon'] },
} as const; // prettier-ignore

type Part = Pick<Unit, 'symbol' | 'toSi' | 'spellings' | 'system'>;
type Named<Id extends string> = Readonly<Record<Id, Unit>>;

function ofKind<Id extends string>(kind: Kind, parts: Readonly<Record<Id, Part>>): Named<Id> {
  return Object.fromEntries(
    Object.entries<Part>(parts).map(([id, part]) => [id, { kind, ...part }]),
  ) as Named<Id>;
}

function per<A extends string, B extends string>(
  kind: Kind,
  over: Readonly<Record<A, Part>>,
  under: Readonly<Record<B, Part>>,
): Named<`${A}/${B}`> {
  const pairs = Object.entries<Part>(over).flatMap(([a, top]) =>
    Object.entries<Part>(under).map(([b, bottom]): [string, Unit] => [
      `${a}/${b}`,
      {
        kind,
        symbol: `${top.symbol} / ${bottom.symbol}`,
        toSi: top.toSi / bottom.toSi,
        ...(top.system && { system: top.system }),
        parts: { over: a, under: b },
        spellings: [a, ...top.spellings].flatMap((x) => [b, ...bottom.spellings].map((y) => `${x}/${y}`)),
      },
    ]),
  );
  return Object.fromEntries(pairs) as Named<`${A}/${B}`>;
}

/** Every unit, by id. Rates are every mass or volume over every area, so no pair is missing. */
export const UNITS = {
  ...ofKind('mass', MASS),
  ...ofKind('volume', VOLUME),
  ...ofKind('length', LENGTH),
  ...ofKind('area', AREA),
  ...ofKind('time', {
    s: { symbol: 's', toSi: 1, spellings: ['sec', 'secs', 'second', 'seconds'] },
    min: { symbol: 'min', toSi: 60, spellings: ['mins', 'minute', 'minutes'] },
    h: { symbol: 'h', toSi: 3600, spellings: ['hr', 'hrs', 'hour', 'hours'] },
  }),
  ...per('massPerArea', MASS, RATE_AREAS),
  ...per('volumePerArea', VOLUME, RATE_AREAS),
  ...per('massPerRowLength', MASS, ROW),
  ...per('massPerLaneLength', { kg: MASS.kg, lb: MASS.lb }, LANE),
  ...per('volumePerLaneLength', { L: VOLUME.L, gal: VOLUME.gal }, LANE),
  ...per('volumePerMass', { L: VOLUME.L, gal: VOLUME.gal }, { t: MASS.t, ton: MASS.ton }),
  ...ofKind('speed', {
    'm/s': { symbol: 'm/s', toSi: 1, spellings: [] },
    'km/h': { symbol: 'km/h', toSi: 1 / 3.6, spellings: ['kmh', 'kph'] },
    mph: { symbol: 'mph', toSi: MILE / 3600, spellings: ['mi/h', 'miles/hour'] },
    'ft/s': { symbol: 'ft/s', toSi: FOOT, spellings: ['fps', 'feet/second'] },
  }),
  ...ofKind('density', {
    'kg/L': { symbol: 'kg/L', toSi: 1, spellings: ['g/ml', 'kg/litre', 'kg/liter', 'g/cc', 'g/cm3'] },
    'g/L': { symbol: 'g/L', toSi: 1e-3, spellings: ['g/litre', 'g/liter', 'kg/m3'] },
    'oz/gal': { symbol: 'oz/gal', toSi: POUND / 16 / GALLON, spellings: ['ounce/gal', 'oz/gallon'] },
    'lb/gal': {
      symbol: 'lb/gal',
      toSi: POUND / GALLON,
      spellings: ['lbs/gal', 'lb/gallon', 'pounds/gallon'],
    },
  }),
  ...ofKind('pressure', {
    bar: { symbol: 'bar', toSi: 1e5, spellings: ['bars'] },
    kPa: { symbol: 'kPa', toSi: 1000, spellings: ['kpa'] },
    psi: { symbol: 'psi', toSi: (POUND * GRAVITY) / INCH ** 2, spellings: ['lb/in2'] },
  }),
  ...ofKind('flow', FLOW),
  ...ofKind('volumePerVolume', IN_MIX),
  degC: { kind: 'temperature', symbol: '°C', toSi: 1, zeroAt: 0, spellings: ['°c', 'c', 'celsius'] },
  degF: {
    kind: 'temperature',
    symbol: '°F',
    toSi: 5 / 9,
    zeroAt: -160 / 9,
    spellings: ['°f', 'f', 'fahrenheit'],
  },
} as const satisfies Record<string, Unit>;

export type MassUnit = keyof typeof MASS;
export type AreaUnit = keyof typeof AREA;
export type LengthUnit = keyof typeof LENGTH;
export type VolumeUnit = keyof typeof VOLUME;
export type RateAreaUnit = keyof typeof RATE_AREAS;
export type VolumePerAreaUnit = `${VolumeUnit}/${RateAreaUnit}`;
export type MassPerAreaUnit = `${MassUnit}/${RateAreaUnit}`;

export type FlowUnit = keyof typeof FLOW;
export type MixShareUnit = keyof typeof IN_MIX;
export type PressureUnit = 'bar' | 'kPa' | 'psi';

export type MassPerRowUnit = `${MassUnit}/${keyof typeof ROW}`;
export type MassPerLaneUnit = `${'kg' | 'lb'}/${keyof typeof LANE}`;
export type VolumePerLaneUnit = `${'L' | 'gal'}/${keyof typeof LANE}`;

/** Id of any unit. */
export type UnitId = keyof typeof UNITS;

/** Every unit id, in the order of the table. */
export const UNIT_IDS = Object.keys(UNITS) as UnitId[];

/**
 * True when the text is the id of a unit of this kind.
 *
 * @example isUnitOf('massPerArea', 'kg/ha') // true
 */
export function isUnitOf(kind: Kind, id: string): id is UnitId {
  return Object.hasOwn(UNITS, id) && UNITS[id as UnitId].kind === kind;
}

/**
 * The system that a unit belongs to; metric where both use it.
 *
 * @example systemOf('lb/1000 ft2') // 'us'
 */
export const systemOf = (unit: UnitId): System => (UNITS[unit] as Unit).system ?? 'metric';
