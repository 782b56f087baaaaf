// Numeric: arithmetic that no field of the trade owns: what a reading is worth, and how much repeats differ.
// Plain numbers in and out, with their units in the names.
export { resolutionU } from './resolution.ts';
export { meanOf, middleOf, scatterOver, sumOf } from './spread.ts';
export { between, placeOf, type TablePoint } from './between.ts';
