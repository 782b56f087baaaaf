// Mix: the cheapest mix of products from a shelf that meets several needs and passes no limit.
// A linear programme; SI in and out, hundredths of money. What cannot be met is named, never hidden.
export {
  cheapestMix,
  findMix,
  type Miss,
  type Mix,
  type MixAnswer,
  type MixDelivery,
  type MixPart,
} from './findMix.ts';
export type { LeftOut, MixCap, MixNeed, MixProduct, MixRequest } from './request.ts';
export {
  blankMix,
  mixForSoilTest,
  evaluateMix,
  type MixNeedInput,
  type MixResult,
  type MixInput,
} from './typed.ts';
export { mixLines, type MixLines } from './lines.ts';
export { leftOutReason, missReason, searchNotes } from './words.ts';
