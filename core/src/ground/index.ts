// Ground: how big an area is, from what was measured or typed.
// All sizes are m2 inside.
export { lengthUnitFor, readSize, retypeSize, type SizeReading, type SizeShape } from './size.ts';
