// Fields: what is read alike wherever it is typed: names, days of the calendar, sizes of ground.
// Text in, a value or a coded error out.
export { readDay, readName } from './heading.ts';
export {
  isMeasuredSize,
  lengthUnitFor,
  measuredSize,
  readSize,
  retypeSize,
  type SizeResult,
  type SizeShape,
} from './size.ts';
