// Loads: what to take along and what goes into one fill.
// Packages are rounded up once for everything, never area by area.
export {
  countPackages,
  readPackage,
  type PackageCount,
  type PackageResult,
  type PackageUnit,
} from './packages.ts';
export { evaluateScoop, type ScoopResult } from './scoop.ts';
export type { ScoopInput } from './scoopInput.ts';
export { inScoops, scoopLine } from './scoopLines.ts';
export { rowRefills, type RowRefills, type RowWork } from './refills.ts';
