import { between, type TablePoint } from '../numeric/between.ts';
import { requireFinite, requirePositive } from '../errors/preconditions.ts';

/** What is known of a salt that is dissolved: molar mass, heat it takes up, and how much of it water holds at 0, 10, 20 and 30 degC. */
interface Salt {
  readonly kgPerMol: number;
  /** kJ/mol; above 0 it cools the water. CRC Handbook of Chemistry and Physics. */
  readonly heatKJPerMol: number;
  /** g anhydrous in 100 g water. Lange's Handbook of Chemistry; where handbooks differ the lower figure stands, since it refuses. */
  readonly gPer100g: readonly [at0: number, at10: number, at20: number, at30: number];
}

/** Common salts that are dissolved in water. */
export const SALTS = {
  'potassium-nitrate': { kgPerMol: 0.1011032, heatKJPerMol: 34.9, gPer100g: [13.3, 20.9, 31.6, 45.8] },
  'ammonium-sulfate': { kgPerMol: 0.13214, heatKJPerMol: 6.6, gPer100g: [70.6, 73.0, 75.4, 78.0] },
  urea: { kgPerMol: 0.060056, heatKJPerMol: 15.4, gPer100g: [67, 85, 108, 133] },
  'ammonium-nitrate': { kgPerMol: 0.080043, heatKJPerMol: 25.7, gPer100g: [118, 150, 192, 242] },
  'potassium-chloride': { kgPerMol: 0.0745513, heatKJPerMol: 17.2, gPer100g: [28.0, 31.2, 34.2, 37.2] },
  'potassium-sulfate': { kgPerMol: 0.174259, heatKJPerMol: 23.8, gPer100g: [7.4, 9.3, 11.1, 13.0] },
  'monoammonium-phosphate': { kgPerMol: 0.115025, heatKJPerMol: 16.1, gPer100g: [21.7, 28.2, 35.9, 45.3] },
  'monopotassium-phosphate': { kgPerMol: 0.136086, heatKJPerMol: 19.6, gPer100g: [13.3, 17.5, 22.3, 27.8] },
} as const satisfies Record<string, Salt>;

export type SaltId = keyof typeof SALTS;
export const SALT_IDS = Object.keys(SALTS) as SaltId[];

const STEP_C = 10;

/**
 * How much of a salt water holds, linear between the figures of the table; above 30 degC that of 30, which refuses early.
 *
 * @param degC of the water, 0 or more
 * @returns g anhydrous in 100 g water; null below 0 degC, where there is no figure
 * @example solubilityAt('potassium-nitrate', 10) // 20.9
 */
export function solubilityAt(salt: SaltId, degC: number): number | null {
  requireFinite({ degC });
  const points = SALTS[salt].gPer100g.map((figure, step): TablePoint => [step * STEP_C, figure]);
  return between(points, Math.min(degC, points.at(-1)![0]));
}

/** Heat that 1 kg takes up for each degree, kJ: water, and a salt in it. */
const HEAT = { water: 4.18, salt: 0.95 };

/**
 * How far a salt cools the water that it is dissolved in: `moles x heat / (4.18 x kg water + 0.95 x kg salt)`.
 *
 * @param saltKg above 0
 * @param waterKg above 0
 * @returns degrees C
 * @throws InputError number.unusable
 * @example coolsBy('potassium-nitrate', 3.2, 15) // 16.8
 */
export function coolsBy(salt: SaltId, saltKg: number, waterKg: number): number {
  requirePositive({ saltKg, waterKg });
  const { kgPerMol, heatKJPerMol } = SALTS[salt];
  return ((saltKg / kgPerMol) * heatKJPerMol) / (HEAT.water * waterKg + HEAT.salt * saltKg);
}
