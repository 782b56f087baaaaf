// Quantities: the units people use, reading what they type, showing numbers to what is honest.
// SI inside, always; a typed value keeps its text and unit.
export { KINDS, type Kind } from './kinds.ts';
export {
  RATE_AREAS,
  UNITS,
  UNIT_IDS,
  isUnitOf,
  systemOf,
  type AreaUnit,
  type FlowUnit,
  type LengthUnit,
  type MassPerAreaUnit,
  type MassPerLaneUnit,
  type MassPerRowUnit,
  type MassUnit,
  type MixShareUnit,
  type PressureUnit,
  type RateAreaUnit,
  type System,
  type Unit,
  type UnitId,
  type VolumePerAreaUnit,
  type VolumeUnit,
} from './units.ts';
export { unitSpelled } from './spelling.ts';
export { fromSi, toSi } from './convert.ts';
export { isBareNumber, readNumber } from './numbers.ts';
export { readPositive, readQuantity, type Quantity, type QuantityField } from './quantity.ts';
export {
  changedSi,
  HONEST_FIGURES,
  retype,
  showExact,
  showNumber,
  showQuantity,
  showWithUncertainty,
  textWithUnit,
  type DisplayValue,
  type UnitChange,
} from './show.ts';
