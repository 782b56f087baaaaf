// Passes: how a piece of ground is walked. Trims round its edges, passes over what they leave, where fills run out, how long it takes.
// Ground is in metres; a heading is degrees clockwise from up, and its opposite is the same.
export { groundBlocks, type GroundBlock } from './blocks.ts';
export { fillsOnWalk, walkTime, type Fill, type FillEnd, type OutputOf, type WalkRequest, type WalkTime } from './fills.ts'; // prettier-ignore
export { HEADING_AIMS, type HeadingAim } from './heading.ts';
export { LAST_PASS, MAX_PASSES, type Lanes, type LastPass } from './lanes.ts';
export { planPasses, type PassPlan, type PassRequest, type PlannedPiece, type TrimRequest } from './plan.ts';
export { sketchOf } from './sketch.ts';
export type { Leg } from './walk.ts';
export { placeTowards, windTowards, WINDS, type Wind } from './winds.ts';
