import { finite, requirePositive } from '../../errors/preconditions.ts';
/** A container that has to fill while the machine goes as far as its content serves. */
export interface FillTime {
  readonly targetKgPerM2: number;
  /** Distance between rows, or pass spacing, m. */
  readonly spacingM: number;
  readonly containerKg: number;
  readonly speedMPerS: number;
  /** Outlets that feed one row together while the container hangs under one of them; 1 where each feeds its own. */
  readonly outletsPerRow: number;
}

/** What the container has to do. */
export interface FillAim {
  /** On each metre of a row, kg/m. */
  readonly outputKgPerM: number;
  /** Distance that the container under one outlet serves, m: the first answer of this method. */
  readonly servesM: number;
  /** The time in which it has to fill, s. */
  readonly fillS: number;
}

/**
 * Fill-time: how far a container's content goes at the target, and so in what time it has to fill.
 *
 * @example fillAim({ targetKgPerM2: 0.022, spacingM: 1.5, containerKg: 4.6, speedMPerS: 0.9, outletsPerRow: 1 }) // { outputKgPerM: 0.033, servesM: 139.39, fillS: 154.88 }
 */
export function fillAim(asked: FillTime): FillAim {
  const { targetKgPerM2, spacingM, containerKg, speedMPerS, outletsPerRow } = asked;
  requirePositive({ targetKgPerM2, spacingM, containerKg, speedMPerS, outletsPerRow });
  const outputKgPerM = targetKgPerM2 * spacingM;
  const servesM = finite((containerKg * outletsPerRow) / outputKgPerM);
  return { outputKgPerM, servesM, fillS: finite(servesM / speedMPerS) };
}

/**
 * The rate from the time that a container took to fill.
 *
 * @param filledS s, above 0
 * @example rateFromFill({ targetKgPerM2: 0.022, spacingM: 1.5, containerKg: 4.6, speedMPerS: 0.9, outletsPerRow: 1 }, 142).rateKgPerM2 // 0.023996: 9 % over the target
 */
export function rateFromFill(
  { containerKg, speedMPerS, spacingM, outletsPerRow }: Omit<FillTime, 'targetKgPerM2'>,
  filledS: number,
): { outputKgPerM: number; rateKgPerM2: number } {
  requirePositive({ containerKg, speedMPerS, spacingM, outletsPerRow, filledS });
  const outputKgPerM = finite((containerKg * outletsPerRow) / (filledS * speedMPerS));
  return { outputKgPerM, rateKgPerM2: finite(outputKgPerM / spacingM) };
}
