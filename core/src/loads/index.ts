// Loads: what to take along and what goes into one fill.
// Packages are rounded up once for everything, never area by area.
export {
  countPackages,
  readPackage,
  type PackageCount,
  type PackageReading,
  type PackageUnit,
} from './packages.ts';
export { readScoop, type ScoopReading, type ScoopTyped } from './scoop.ts';
export { inScoops, scoopLine } from './scoopLines.ts';
