// Fields: what is read alike wherever it is typed: names, days of the calendar, sizes of ground.
// Text in, a value or a coded error out.
export { readCount, readPercent, readTolerance, readWhole } from './counts.ts';
export { readDay, readName } from './heading.ts';
export { moneyText } from './money.ts';
export { differencesBetween, merged, type Difference, type Side } from './merge.ts';
export { latestOf, type AppendedRow } from './latest.ts';
export {
  idOrNone,
  massRateUnit,
  massUnit,
  notes,
  rateUnit,
  text,
  type InputOf,
  type MateUnit,
} from './schema.ts';
export {
  isJson,
  renamed,
  upgraded,
  upgradedOver,
  versionAfter,
  type Json,
  type UpgradeStep,
} from './upgrade.ts';
export {
  isMeasuredSize,
  areaUnitFor,
  lengthUnitFor,
  measuredSize,
  pressureUnitFor,
  readSize,
  retypeSize,
  volumeUnitFor,
  type SizeResult,
  type SizeShape,
} from './size.ts';
export { daysLater } from './days.ts';
export { grouped } from './grouped.ts';
export { nameKey } from './nameKey.ts';
