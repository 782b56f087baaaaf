// Coverage: what would lie where after a pass plan was walked, with the pattern, the pace and the line that people have.
// Everything is laid on square cells; nothing is scaled to make masses agree.
export { OFF_KINDS, type KnownEdge, type OffKind } from './around.ts';
export type { Grid } from './grid.ts';
export { assumedPattern, deflected, type AssumedPattern } from './patterns.ts';
export { simulateCoverage, type Coverage, type CoverageRequest, type Track } from './simulate.ts';
