// Need: from a nutrient target and a product's analysis to a product rate, and back to all it delivers.
// Grades are N-P2O5-K2O in percent by mass unless the label says elemental.
export { NUTRIENTS, NUTRIENT_IDS, inForm, otherForm, type Nutrient } from './nutrients.ts';
export { fractionOf, gradeText, readGrade, withShare, type Grade } from './grade.ts';
export { deliveredAtRate, nutrientAtRate, productRate, type Delivered } from './productRate.ts';
export { carrierRate } from './activeIngredient.ts';
export { concentration, liquidRate } from './liquid.ts';
export { labelRate } from './labelRate.ts';
export { readNeed, retypeNeed, splitUnit, weightPart, type NeedResult } from './needField.ts';
export {
  blankSoilTest,
  isTestOf,
  youngestTestOf,
  evaluateSoilTest,
  SOIL_NUTRIENTS,
  soilTestInput,
  statedForm,
  type SoilNeed,
  type SoilNutrient,
  type SoilTestResult,
  type SoilTestInput,
} from './soilTest.ts';
export { soilTestUpgrades } from './soilTestUpgrades.ts';
export { ledgerForm, LEDGER_NUTRIENTS, type LedgerNutrient } from './ledgerNutrients.ts';
