// Ground: how big an area is, from what was measured or typed, and what is not certain about it.
// All sizes are m2 inside; what is measured carries about 95 % as its band.
export {
  isMeasuredSize,
  lengthUnitFor,
  measuredSize,
  readSize,
  retypeSize,
  type SizeReading,
  type SizeShape,
} from './size.ts';
export { SHAPE_KINDS, SHAPES, shapeOf, type ShapeKind } from './shapes.ts';
export {
  acrossCurve,
  boundsOf,
  crossesItself,
  lineLength,
  outlineArea,
  type Bounds,
  type Outline,
  type Point,
} from './outline.ts';
export { blankPace, readPaces, type PaceReading, type PacesReading, type PaceTyped } from './paces.ts';
export {
  blankPart,
  MEASURED_BY,
  type BoundaryTyped,
  type MeasuredBy,
  type PartReading,
  type PartTyped,
  type Placing,
  type ShapeTyped,
} from './parts.ts';
export { readQuickPart, type QuickPart } from './quickPart.ts';
export { draggedLengths, handlesOf, snapStepM, type Handle } from './handles.ts';
export { layOut, placeFor, placeParts, snapMove } from './layOut.ts';
export { measureArea, readPart, type AreaMeasured, type Hold } from './areaSheet.ts';
export { groundArea, isHole, type Ground } from './clip.ts';
export { ALONG, blankEdge, EDGE_KINDS, type Along, type Buffers, type EdgeKind, type EdgeReading, type EdgeTyped } from './edges.ts'; // prettier-ignore
export { blankRows, rowLength, readRows, type RowsReading, type RowsTyped } from './rows.ts';
export { localPlane, readPlace, type LocalPlane, type Place, type PlaceTyped } from './geodetic.ts';
export {
  blankSite,
  blankSiteArea,
  MAX_PARTS,
  MAX_SITE_AREAS,
  SLOPES,
  SURFACES,
  type SiteAreaTyped,
  type SiteTyped,
  type Slope,
  type Surface,
} from './siteTyped.ts';
export { areaAdvice, measuredLine, partText, showLength, showSize } from './areaLines.ts';
export { readSite, readSiteArea, type SiteAreaReading, type SiteReading } from './site.ts';
export * from './files/index.ts';
