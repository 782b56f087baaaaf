import { message } from '../messages/message.ts';
import { finite } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';

/** Another pace or spacing that brings a mark to a rate. */
export type Correction =
  | {
      readonly by: 'pace';
      /** Pace over the one that the rate was found at. */
      readonly factor: number;
      readonly mPerS: number;
      readonly comfortable: boolean;
    }
  | { readonly by: 'spacing'; readonly factor: number; readonly widthM: number };

/**
 * What pace, or else what spacing, would bring a mark to a rate: `pace x mean / rate`, `spacing x mean / rate`. Pace is offered
 * only where product flows by itself, a faster one only where it stays comfortable; a spacing only where it is chosen, which that of
 * a hopper or of rows is not.
 *
 * @param found rate at the mark and the rate wanted, kg/m2; pace it was found at, m/s; spacing it was worked out for, m; all above 0
 * @returns the ways there are, the pace first
 * @throws InputError quantity.not-positive
 * @example corrections('push-rotary', { meanKgPerM2: 0.0193, wantedKgPerM2: 0.0163, paceMPerS: 1.34, widthM: 2.74 })[0]
 * // { by: 'pace', factor: 1.18, mPerS: 1.59, comfortable: true }
 */
export function corrections(
  kind: RigKind,
  found: {
    readonly meanKgPerM2: number;
    readonly wantedKgPerM2: number;
    readonly paceMPerS: number;
    readonly widthM: number;
  },
): Correction[] {
  const { meanKgPerM2, wantedKgPerM2, paceMPerS, widthM } = found;
  if (!Object.values(found).every((value) => value > 0 && Number.isFinite(value)))
    throw new InputError('quantity.not-positive', { field: 'rate', what: message('errors.what.ratePaceSpacing'), hint: '3.3 lb/1000 ft2' }); // prettier-ignore
  const { metering, width, pace } = rigKind(kind);
  const factor = finite(meanKgPerM2 / wantedKgPerM2);
  const mPerS = finite(paceMPerS * factor);
  const comfortable = mPerS >= pace[0] && mPerS <= pace[1];
  const byPace = metering === 'flow' && (factor < 1 || mPerS <= pace[1]);
  return [
    ...(byPace ? [{ by: 'pace', factor, mPerS, comfortable } as const] : []),
    ...(width === 'passes' ? [{ by: 'spacing', factor, widthM: finite(widthM * factor) } as const] : []),
  ];
}
