// Plan: which portion goes on which area on which day of a year, how each stands, and what they take together.
// A plan is held against rules, records and other plans; nothing here is stored. Days are year-month-day, rates kg/m2 or L/m2.
export {
  blankPlan,
  HOLDS,
  planInput,
  ruleSetOn,
  type Hold,
  type PlanInput,
  type PortionInput,
} from './planInput.ts';
export { evaluatePlan, type PlanResult } from './evaluatePlan.ts';
export { plannedPortions, type PlanGround, type PlannedPortion, type PlanProduct } from './planned.ts';
export { portionStates, type PortionStanding, type PortionState } from './portionStates.ts';
export { checkPortion, nearestAllowedDay, planBook, type PlanBook, type PlanFacts } from './planBook.ts';
export {
  catchUp,
  halfAfterLook,
  movePortions,
  nextYearsPlan,
  portionsFor,
  shareOut,
  type PlannedNeed,
} from './planMoves.ts';
export { planNeeds, type PlanNeed } from './planNeeds.ts';
export { twicePlanned, type PlannedTwice } from './twicePlanned.ts';
export { portionGroups, type PortionGroup } from './portionGroups.ts';
export { monthLater, openingMonth, weeksFrom } from './weeks.ts';
export {
  isFarOff,
  nutrientStanding,
  seasonReport,
  type PerNutrient,
  type SeasonFacts,
  type SeasonLine,
  type SeasonSite,
  type SeasonSums,
} from './seasonReport.ts';
export { planCalendar } from './planCalendar.ts';
