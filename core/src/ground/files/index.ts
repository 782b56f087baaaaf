// Boundary files: GeoJSON, KML, GPX and CSV of points read into ground, and a site written as GeoJSON.
// A file is read whole or not at all; what is wrong with it is said with its place.
export { checkFileSize, readBoundaryFile, type BoundaryFile, type BoundaryFormat } from './boundaryFile.ts';
export { originOf, cleanBoundary, type Surveyed } from './cleanBoundary.ts';
export type { BoundaryLine } from './boundaryLine.ts';
export { WRITTEN, writeSite, type WrittenFormat } from './write.ts';
