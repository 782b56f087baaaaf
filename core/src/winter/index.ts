// Winter: what keeps pavement wet. Freezing curves, brine and its strength, what a rate holds and when it refreezes.
// Strengths are by mass of the anhydrous salt, densities those at 20 degC.
export { BRINE_SALT_IDS, BRINE_SALTS, strongest, type BrineSaltId } from './brineSalts.ts';
export { chlorideIn, filmHeld, freezesAt, saltForFilm, strengthAt } from './freezing.ts';
export {
  brineDensity,
  brineFor,
  brineOnGround,
  brineStrength,
  correctedBrine,
  HYDROMETER_MARKS,
  prewetting,
  SAMPLE_C,
  type BrineMaking,
  type BrineOnGround,
  type HydrometerMarks,
  type Prewetting,
} from './brine.ts';
export {
  blankBrine,
  brineInput,
  brineSheet,
  type BrineFate,
  type BrineInput,
  type BrineSheet,
} from './brineSheet.ts';
