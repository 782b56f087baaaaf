// Drawing: the geometry of pictures, so that whoever draws them has no arithmetic: dimensions on an outline, bars, curves, spans.
// Shares of a length or units of the picture; what they mean in metres or rates is the business of whoever asks.
export { dimensionsOf, type Dimension } from './dimensions.ts';
export {
  againstWanted,
  barsOf,
  curveOf,
  heightOf,
  niceStep,
  type Bar,
  type PicturePoint,
  type Span,
} from './marks.ts';
