// Ground: how big an area is, from what was measured or typed, and what is not certain about it.
// All sizes are m2 inside; what is measured carries about 95 % as its band.
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
export { blankPace, evaluatePaces, type PaceResult, type PacesResult, type PaceInput } from './paces.ts';
export {
  blankPart,
  MEASURED_BY,
  type BoundaryInput,
  type MeasuredBy,
  type PartResult,
  type PartInput,
  type Placing,
  type ShapeInput,
} from './parts.ts';
export { readQuickPart, type QuickPart } from './quickPart.ts';
export { draggedLengths, handlesOf, snapStepM, type Handle } from './handles.ts';
export { layOut, placeFor, placeParts, snapMove } from './layOut.ts';
export { measureArea, evaluatePart, type AreaMeasured } from './areaSheet.ts';
export { difference, groundArea, inset, intersection, isHole, joined, type Ground } from './clip.ts';
export { ALONG, blankEdge, EDGE_KINDS, type Along, type Buffers, type EdgeKind, type EdgeResult, type EdgeInput } from './edges.ts'; // prettier-ignore
export { blankRows, rowLength, evaluateRows, type RowsResult, type RowsInput } from './rows.ts';
export { localPlane, readPlace, type LocalPlane, type Place, type PlaceInput } from './geodetic.ts';
export { SURFACES, type Surface } from './surfaces.ts';
export {
  blankSite,
  blankSiteArea,
  MAX_PARTS,
  MAX_SITE_AREAS,
  notInWinter,
  siteInput,
  SLOPES,
  type LayoutMode,
  type SiteAreaInput,
  type SiteInput,
  type Slope,
  WINTER_USES,
  type WinterUse,
} from './siteInput.ts';
export { siteUpgrades } from './siteUpgrades.ts';
export { areaAdvice, measuredLine, partName, showLength, showSize } from './areaLines.ts';
export { liesWithin, piecesOf } from './pieces.ts';
export { evaluateSite, evaluateSiteArea, lyingGround, type SiteAreaResult, type SiteResult } from './site.ts';
export * from './files/index.ts';
