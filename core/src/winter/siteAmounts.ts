import { finite, requireFinite } from '../errors/preconditions.ts';
import { countPackages } from '../loads/packages.ts';

/** What is treated: how large it is, and whether by hand. */
export interface WinterArea {
  readonly areaM2: number | null;
  readonly isByHand: boolean;
}

/** What the product comes in and goes out of; null: not known. */
export interface WinterLoads {
  /** kg or L in one package. */
  readonly packageSi: number | null;
  /** kg or L in one fill of the machine. */
  readonly fillSi: number | null;
  /** kg in one scoop. */
  readonly scoopKg: number | null;
}

export interface WinterAmount {
  /** kg or L. */
  readonly amountSi: number;
  /** By hand; null: by machine, or the scoop was not weighed. */
  readonly scoops: number | null;
}

export interface WinterTotal {
  readonly areaM2: number;
  readonly amountSi: number;
  readonly packages: number | null;
  /** Fills of the machine for what it treats. */
  readonly fills: number | null;
}

/**
 * What one area takes.
 *
 * @param rateSi kg/m2 or L/m2, 0 or more
 * @returns null while its size is not known
 * @throws InputError number.unusable
 * @example amountFor({ areaM2: 400, isByHand: false }, 0.015, { packageSi: 25, fillSi: 36, scoopKg: null }).amountSi // 6
 */
export function amountFor(
  { areaM2, isByHand }: WinterArea,
  rateSi: number,
  { scoopKg }: WinterLoads,
): WinterAmount | null {
  if (areaM2 === null) return null;
  requireFinite({ area: areaM2, rate: rateSi });
  const amountSi = finite(areaM2 * rateSi);
  return { amountSi, scoops: isByHand && scoopKg !== null && scoopKg > 0 ? finite(amountSi / scoopKg) : null }; // prettier-ignore
}

/**
 * What all areas take together: rounded up once, not area by area.
 *
 * @throws InputError number.unusable, quantity.not-positive
 * @example totalFor([{ areaM2: 400, isByHand: false }], 0.015, { packageSi: 25, fillSi: 4, scoopKg: null }).fills // 2
 */
export function totalFor(areas: readonly WinterArea[], rateSi: number, loads: WinterLoads): WinterTotal {
  const known = areas.filter(({ areaM2 }) => areaM2 !== null);
  const sizeOf = (some: readonly WinterArea[]) => some.reduce((sum, { areaM2 }) => sum + areaM2!, 0);
  const areaM2 = finite(sizeOf(known));
  const amountSi = finite(areaM2 * rateSi);
  const byMachine = sizeOf(known.filter(({ isByHand }) => !isByHand)) * rateSi;
  const up = (amount: number, each: number | null) => {
    if (each === null) return null;
    return countPackages(amount, each).whole;
  };
  return { areaM2, amountSi, packages: up(amountSi, loads.packageSi), fills: up(byMachine, loads.fillSi) };
}
