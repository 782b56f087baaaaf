// Passes: how a piece of ground is walked. Trims round its edges, passes over what they leave, where fills run out, how long it takes.
// Ground is in metres; a heading is degrees clockwise from up, and its opposite is the same.
export { groundBlocks, type GroundBlock } from './blocks.ts';
export { fillsOnWalk, walkTime, type Fill, type FillEnd, type OutputOf, type WalkRequest, type WalkTime } from './fills.ts'; // prettier-ignore
export { HEADING_AIMS, LAST_PASS, WINDS, type HeadingAim, type LastPass, type Wind } from './choices.ts';
export { MAX_PASSES, type Lanes } from './lanes.ts';
export { planPasses, type PassPlan, type PassRequest, type PlannedPiece, type TrimRequest } from './plan.ts';
export { sketchOf } from './sketch.ts';
export type { Leg } from './walk.ts';
export { placeTowards, windTowards } from './winds.ts';
