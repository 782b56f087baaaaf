import { collect, type Collected } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readDay, readName } from '../fields/heading.ts';
import { message } from '../messages/message.ts';
import { readQuantity } from '../quantities/quantity.ts';
import { isUnitOf, type UnitId } from '../quantities/units.ts';
import { perArea } from '../testing/rate.ts';
import { guideRateUnit, type GuideInput, type GuideLineInput, type GuideVersionInput } from './guideInput.ts';
import { readPavement } from './pavement.ts';

/** A line of a guide as read. */
export interface GuideLine extends Pick<GuideLineInput, 'id' | 'trend' | 'situation' | 'treatment' | 'product' | 'advice'> {
  /** degC; null: however cold, however warm. */
  readonly coldC: number | null;
  readonly warmC: number | null;
  /** On the ground, kg/m2, or L/m2 of a liquid; null: nothing is put down. */
  readonly rate: { readonly low: number; readonly high: number } | null;
} // prettier-ignore

/** A guide from a day on, as read: lines that cannot be read are left out. */
export interface GuideVersion {
  readonly id: string;
  readonly fromDay: string;
  readonly lines: readonly GuideLine[];
}

export interface GuideResult {
  /** The last one first. */
  readonly versions: readonly GuideVersion[];
  readonly laneM: number | null;
  readonly errors: readonly InputError[];
}

const isOnLane = (unit: UnitId): boolean => isUnitOf('massPerLaneLength', unit) || isUnitOf('volumePerLaneLength', unit); // prettier-ignore

/** What a rate of a line is per, and the unit of a bare number. */
function rateField(guide: GuideInput, { product }: GuideLineInput) {
  const unit = guideRateUnit(guide, product);
  const [onGround, onLane] = product === 'liquid' ? (['volumePerArea', 'volumePerLaneLength'] as const) : (['massPerArea', 'massPerLaneLength'] as const); // prettier-ignore
  return { unit, kind: isUnitOf(onLane, unit) ? onLane : onGround };
}

/** One rate of a line, on the ground; a rate of nothing is one: the plow alone. */
function readRate(guide: GuideInput, line: GuideLineInput, laneM: number | null, name: 'low' | 'high', path: string) {
  const { unit, kind } = rateField(guide, line);
  const field = `${path}.${name}`;
  const { si } = readQuantity(line[name], { kind, bareUnit: unit, field });
  if (si < 0) throw new InputError('quantity.not-positive', { field, what: message('errors.what.rate'), hint: `4 ${unit}` });
  const onGround = perArea({ si, dimension: kind }, laneM);
  if (onGround === null) throw new InputError('guide.lane', { field: 'lane.text', hint: '12 ft' });
  return onGround;
} // prettier-ignore

function readLine(guide: GuideInput, line: GuideLineInput, laneM: number | null, path: string, noted: Collected): GuideLine | null {
  const { errors, readIfPresent } = noted;
  const before = errors.length;
  const degrees = (name: 'cold' | 'warm') => readIfPresent(line[name], () => readPavement(line[name], guide.temperatureUnit, `${path}.${name}`));
  const rate = (name: 'low' | 'high') => readIfPresent(line[name], () => readRate(guide, line, laneM, name, path));
  const [coldC, warmC] = [degrees('cold'), degrees('warm')];
  const [low, high] = [rate('low'), rate('high')];
  if (coldC !== null && warmC !== null && coldC >= warmC) errors.push(new InputError('guide.band', { field: `${path}.cold`, hint: `${line.warm} – ${line.cold}` }));
  if (low !== null && high !== null && low > high) errors.push(new InputError('product.range', { field: `${path}.low`, hint: `${line.high} – ${line.low}` }));
  if (line.situation.trim() === '') errors.push(new InputError('guide.situation.empty', { field: `${path}.situation` }));
  if (line.low.trim() === '' && line.high.trim() === '' && line.advice.trim() === '') errors.push(new InputError('guide.rate.empty', { field: `${path}.low`, hint: '4' }));
  if (errors.length > before) return null;
  const known = low ?? high;
  const { id, trend, situation, treatment, product, advice } = line;
  return { id, trend, situation, treatment, product, advice, coldC, warmC, rate: known === null ? null : { low: low ?? known, high: high ?? known } };
} // prettier-ignore

function readVersion(guide: GuideInput, version: GuideVersionInput, laneM: number | null, path: string, noted: Collected): GuideVersion {
  const fromDay = noted.tryRead(() => readDay(version.fromDay, `${path}.fromDay`)) ?? '';
  const lines = version.lines.flatMap((line, index) => readLine(guide, line, laneM, `${path}.lines.${index}`, noted) ?? []);
  return { id: version.id, fromDay, lines };
} // prettier-ignore

/** What is wrong is said once at a field, however many rows ask for it. */
const onceEach = (errors: readonly InputError[]): InputError[] =>
  errors.filter(({ field, code }, index) => errors.findIndex((other) => other.field === field && other.code === code) === index); // prettier-ignore

/**
 * Reads a rate guide: each version with its lines, rates on the ground. A line that cannot be read is named and left out.
 *
 * @returns versions with the last one first; rates in kg/m2, of liquids in L/m2; temperatures in degC
 * @example evaluateGuide(blankGuide('us', ['v', 'a'], '2026-11-01')).versions[0].fromDay // '2026-11-01'
 */
export function evaluateGuide(guide: GuideInput): GuideResult {
  const noted = collect();
  noted.tryRead(() => readName(guide.name, 'name', message('errors.example.guide')));
  const laneM = noted.readIfPresent(guide.lane.text, () => {
    const { si } = readQuantity(guide.lane.text, { kind: 'length', bareUnit: guide.lane.unit, field: 'lane.text' }); // prettier-ignore
    if (si <= 0) throw new InputError('quantity.not-positive', { field: 'lane.text', what: message('errors.what.width'), hint: '12 ft' }); // prettier-ignore
    return si;
  });
  const versions = guide.versions.map((version, index) => readVersion(guide, version, laneM, `versions.${index}`, noted)); // prettier-ignore
  return {
    versions: versions.toSorted((a, b) => b.fromDay.localeCompare(a.fromDay)),
    laneM,
    errors: onceEach(noted.errors),
  };
}

/**
 * Whether the rates of a guide hang on how wide a lane is.
 *
 * @example asksForLane({ dryUnit: 'lb/lane-mile', liquidUnit: 'L/m2' }) // true
 */
export const asksForLane = ({ dryUnit, liquidUnit }: Pick<GuideInput, 'dryUnit' | 'liquidUnit'>): boolean =>
  isOnLane(dryUnit) || isOnLane(liquidUnit);

/**
 * The version of a guide that holds on a day: the last one from that day or before.
 *
 * @param versions the last one first
 * @returns null where the first one begins later
 * @example versionOn([{ id: 'b', fromDay: '2026-11-01', lines: [] }, { id: 'a', fromDay: '2025-11-01', lines: [] }], '2026-02-01').id // 'a'
 */
export const versionOn = (versions: readonly GuideVersion[], day: string): GuideVersion | null =>
  versions.find(({ fromDay }) => fromDay !== '' && fromDay <= day) ?? null;
