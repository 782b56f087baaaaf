// Winter: what keeps pavement wet. Freezing curves, brine and its strength, what a rate holds and when it refreezes.
// Rate guides, the plan of a night, storms and the season. Strengths are by mass of the anhydrous salt, densities those at 20 degC.
export { BRINE_SALT_IDS, BRINE_SALTS, strongest, type BrineSaltId } from './brineSalts.ts';
export { filmHeld, freezesAt, saltForFilm, strengthAt } from './freezing.ts';
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
export {
  blankGuide,
  blankGuideLine,
  GUIDE_DRY_UNITS,
  GUIDE_LIQUID_UNITS,
  GUIDE_PRODUCTS,
  guideRateUnit,
  guideInput,
  TREATMENTS,
  TRENDS,
  type GuideInput,
  type GuideLineInput,
  type GuideProduct,
  type GuideVersionInput,
  type Treatment,
  type Trend,
} from './guideInput.ts';
export {
  asksForLane,
  evaluateGuide,
  versionOn,
  type GuideLine,
  type GuideResult,
  type GuideVersion,
} from './guide.ts';
export { lookUpGuide, sameSituation, type GuideAnswer, type GuideCase } from './guideLookUp.ts';
export { guideRulers, type GuideRuler, type RulerBand, type Stretch } from './guideRulers.ts';
export { guideHeading, guideTable, readGuideTable } from './guideTable.ts';
export { looksLikeAir, PAVEMENT_C, readPavement } from './pavement.ts';
export {
  scaleAtRest,
  STATION_FRESH_MIN,
  STATION_QUANTITIES,
  stationAnswer,
  stationNow,
  type StationAnswer,
  type StationNow,
  type StationQuantity,
  type StationReading,
} from './station.ts';
export {
  servedLines,
  settingForBand,
  settingOnGround,
  type BandSetting,
  type ServedLine,
  type WantedBand,
} from './bandSetting.ts';
export {
  colderDeicers,
  fateOnPavement,
  planNight,
  SHARES,
  type Fate,
  type NightAsked,
  type NightPlan,
  type Share,
} from './tonight.ts';
export {
  amountFor,
  totalFor,
  type WinterAmount,
  type WinterArea,
  type WinterLoads,
  type WinterTotal,
} from './siteAmounts.ts';
export { guidePicture, type GuidePicture, type RulerPart, type RulerPicture } from './guidePicture.ts';
