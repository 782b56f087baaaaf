// Ground: how big an area is, from what was measured or typed.
// All sizes are m2 inside; what is measured carries about 95 % as its band.
export { lengthUnitFor, readSize, retypeSize, type SizeReading, type SizeShape } from './size.ts';
export { SHAPE_KINDS, SHAPES, type ShapeKind } from './shapes.ts';
export { boundsOf, crossesItself, outlineArea, type Bounds, type Outline, type Point } from './outline.ts';
export { blankPace, readPaces, type PaceReading, type PacesReading, type PaceTyped } from './paces.ts';
export {
  blankPart,
  MEASURED_BY,
  readPart,
  type MeasuredBy,
  type PartReading,
  type PartTyped,
} from './parts.ts';
export { measureArea, type AreaMeasured, type Hold } from './areaSheet.ts';
export { groundArea, type Ground } from './clip.ts';
export { rowArea, rowLength } from './rows.ts';
