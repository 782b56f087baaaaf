import { message, type Message } from '../messages/message.ts';
import { daysUntil } from '../fields/days.ts';
import type { RigInput } from '../machines/rigInput.ts';
import { PRODUCT_KINDS, type ProductKind } from '../products/product.ts';
import { isByTime, rigKind } from '../machines/kinds.ts';
import { toResult } from '../errors/InputError.ts';
import { collect } from '../errors/collect.ts';
import { readPace } from '../machines/readPace.ts';
import type { CalibrationAim } from './calibrationInput.ts';
import { readWidth } from '../machines/width.ts';

/** How far a chart can be trusted today. */
export type Freshness = 'none' | 'fresh' | 'ageing' | 'stale';

/** Why a chart is not fresh. */
export interface Age {
  readonly state: Freshness;
  readonly reasons: readonly Message[];
}

/** What stands on the shelf today of the product that was tested. */
export interface ProductNow {
  readonly lot: string;
  readonly grainSize: string;
  readonly kind: ProductKind;
}

/** What came to be known since a chart was signed off. */
export interface SinceSigned {
  readonly winterFrom?: string | null;
  readonly drift?: { readonly side: 'heavy' | 'light'; readonly percent: number } | null;
}

const AGEING_DAYS = 120;
const STALE_DAYS = 300;
/** A pace or a spacing that differs by more belongs to another chart. */
const SAME = 0.05;

const differs = (a: string, b: string): boolean => a.trim() !== '' && b.trim() !== '' && a.trim().toLowerCase() !== b.trim().toLowerCase(); // prettier-ignore
const apart = (a: number | null, b: number | null): boolean => a !== null && b !== null && Math.abs(a / b - 1) > SAME; // prettier-ignore

type Reason = readonly [state: 'ageing' | 'stale', text: Message];

/** Made before this winter: the grain and the machine stood still for half a year. */
const beforeWinter = (onDay: string, product: ProductNow | null, winterFrom: string | null): boolean =>
  winterFrom !== null &&
  onDay < winterFrom &&
  product !== null &&
  PRODUCT_KINDS[product.kind].puts === 'de-icer';

function ofTime(onDay: string, today: string): Reason[] {
  const days = daysUntil(onDay, today);
  if (days > STALE_DAYS) return [['stale', message('fresh.season')]];
  return days > AGEING_DAYS ? [['ageing', message('fresh.days', { days })]] : [];
}

function ofMachine(input: CalibrationAim, onDay: string, rig: RigInput): Reason[] {
  const served = rig.services.filter((service) => service.onDay > onDay && service.what.trim() !== '');
  const paceOf = (pace: CalibrationAim['pace']) => readPace(pace, 'pace', collect());
  const usual = paceOf(rig.pace);
  const then = paceOf(input.signOff!.pace);
  return [
    ...(served.length > 0
      ? [
          [
            'stale',
            message('fresh.service', { what: served.map(({ what }) => what.trim()).join('; ') }),
          ] as const,
        ]
      : []),
    ...(rigKind(rig.kind).nozzles !== 'none' && rig.spray.fittedOn > onDay ? [['stale', message('fresh.nozzles')] as const] : []), // prettier-ignore
    ...(isByTime(rig.kind) && apart(usual, then) ? [['stale', message('fresh.pace')] as const] : []),
  ];
}

/**
 * Whether a signed-off chart still holds, and why not: the season turned, the lot or the grain changed, the machine was worked on,
 * the pace or the spacing is another one.
 *
 * @param today year-month-day
 * @param rig null: not known any more
 * @param product null: not on the shelf
 * @param since.winterFrom first day of the winter that it is; null: it is none
 * @param since.drift what weighed runs say of the machine; null: it spreads what is meant, or nobody knows
 * @example freshness(calibration, redSpreader, lakeFeed, '2026-11-25') // { state: 'none', reasons: [] }: nothing is signed off
 */
export function freshness(
  input: CalibrationAim,
  rig: RigInput | null,
  product: ProductNow | null,
  today: string,
  { winterFrom = null, drift = null }: SinceSigned = {},
): Age {
  const { signOff } = input;
  if (!signOff) return { state: 'none', reasons: [] };
  const widthOf = (width: CalibrationAim['width']) => toResult(() => readWidth(width, 'width').si).value;
  const reasons: Reason[] = [
    ...(beforeWinter(signOff.onDay, product, winterFrom)
      ? [['stale', message('fresh.winter')] as const]
      : ofTime(signOff.onDay, today)),
    ...(drift
      ? [['stale', message('fresh.drift', { percent: drift.percent, side: drift.side })] as const]
      : []),
    ...(rig ? ofMachine(input, signOff.onDay, rig) : []),
    ...(product && differs(product.grainSize, signOff.grain)
      ? [['stale', message('fresh.grain', { now: product.grainSize, was: signOff.grain })] as const]
      : []),
    ...(product && differs(product.lot, signOff.lot)
      ? [['ageing', message('fresh.lot', { now: product.lot, was: signOff.lot })] as const]
      : []),
    ...(apart(widthOf(input.width), widthOf(signOff.width))
      ? [['stale', message('fresh.spacing')] as const]
      : []),
  ];
  const state = reasons.some(([how]) => how === 'stale') ? 'stale' : reasons.length > 0 ? 'ageing' : 'fresh';
  return { state, reasons: reasons.map(([, text]) => text) };
}
