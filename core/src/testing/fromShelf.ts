import { evaluateSpray } from '../machines/spray.ts';
import { systemOf } from '../quantities/units.ts';
import { dimensionOf, isSprayed } from './rate.ts';
import { labelRate } from '../need/labelRate.ts';
import { retype } from '../quantities/show.ts';
import { isUnitOf } from '../quantities/units.ts';
import { evaluateProduct } from '../products/evaluateProduct.ts';
import { rigKind, type RigInput } from '../machines/index.ts';
import { PRODUCT_KINDS, type ProductInput } from '../products/product.ts';
import type { CalibrationInput } from './calibrationInput.ts';

const words = (text: string): string[] => text.toLowerCase().split(/[^a-z0-9]+/).filter((word) => word.length > 2); // prettier-ignore

/** A printed setting is for this machine when all the words of the printed name stand in the machine's. */
const isFor = (printed: string, machine: string): boolean =>
  words(printed).length > 0 && words(printed).every((word) => words(machine).includes(word));

/**
 * A calibration for a product of the shelf: its name, lot and grain, the tolerance that its kind bears, and the settings that its
 * label prints for this machine, at the rate that the label's coverage means.
 *
 * @param machine name of the machine; empty: not known yet
 * @param sprays whether it is sprayed; as the rate that stands says where nothing is told
 * @example calibrationFor(calibration, '1', lakeFeed, 'Green rotary').product // 'Lake feed 24-0-8'
 */
export function calibrationFor(
  input: CalibrationInput,
  id: string,
  product: ProductInput,
  machine: string,
  sprays?: boolean,
): CalibrationInput {
  const { package: pack, coverage, labelLow } = evaluateProduct(product);
  const rate = pack && coverage ? labelRate(pack.si, coverage.areaM2) : labelLow;
  const printed = product.settings.filter((setting) => isFor(setting.machine, machine));
  // What a label says is on the ground.
  const { unit } = input.target;
  const isForgiving = PRODUCT_KINDS[product.kind].puts === 'de-icer';
  const isDry = PRODUCT_KINDS[product.kind].form === 'dry';
  return {
    ...rateOf(input, sprays ?? isSprayed(dimensionOf(unit))),
    productId: id,
    product: product.name,
    lot: product.lot,
    grain: product.grainSize,
    tolerance: isForgiving && input.tolerance === '5' ? '10' : input.tolerance,
    isCeiling: input.isCeiling || product.kind === 'granular-carrier',
    label:
      printed.length > 0 && rate !== null && isDry && isUnitOf('massPerArea', unit)
        ? { pace: printed[0]!.pace, lines: printed.map(({ setting }) => ({ setting, amount: retype(rate, unit) })) } // prettier-ignore
        : input.label,
  };
}

/** What a machine brings: its pass spacing, for what is spread or for what is sprayed, and its usual pace. */
function ownOf(rig: RigInput, sprays: boolean, by: CalibrationInput['width']['by']): Pick<CalibrationInput, 'width' | 'pace'> {
  return { width: sprays ? sprayWidth(rig) : { ...rig.width, by }, pace: rig.pace };
} // prettier-ignore

/**
 * The same without what a machine brought: what was typed over it stays.
 *
 * @example withoutRig(calibrationOn(blankCalibration('us'), '1', redSpreader), redSpreader).pace.time // ''
 */
export function withoutRig(input: CalibrationInput, rig: RigInput): CalibrationInput {
  const own = ownOf(rig, isSprayed(dimensionOf(input.target.unit)), input.width.by);
  const isWidth = input.width.text === own.width.text && input.width.unit === own.width.unit;
  const isPace = input.pace.time === own.pace.time && input.pace.course === own.pace.course;
  return {
    ...input,
    width: isWidth ? { ...input.width, text: '', by: 'chosen' } : input.width,
    pace: isPace ? { ...input.pace, course: '', time: '' } : input.pace,
  };
}

/**
 * A calibration on a machine: its pass spacing and usual pace where none was typed yet; what a hopper drops is as wide as it measures.
 *
 * @example calibrationOn(blankCalibration('us'), '1', redSpreader).pace // { course: '120', unit: 'ft', time: '27.2' }
 */
export function calibrationOn(input: CalibrationInput, id: string, rig: RigInput): CalibrationInput {
  const { puts, width: spreadBy } = rigKind(rig.kind);
  const sprays = puts === 'wet' || (puts === 'both' && isSprayed(dimensionOf(input.target.unit)));
  const own = ownOf(rig, sprays, input.width.by);
  const width = input.width.text === '' ? own.width : input.width;
  return {
    ...rateOf(input, sprays),
    rig: id,
    width: { ...width, by: spreadBy === 'hopper' ? 'measured' : width.by },
    pace: input.pace.time === '' ? own.pace : input.pace,
  };
}

/** What a sprayer covers: as measured on grass, else its nozzles times their spacing, else as measured on concrete. */
function sprayWidth({ kind, spray }: RigInput): CalibrationInput['width'] {
  const { widthFrom, widthBySpacingM } = evaluateSpray(spray, kind);
  const { grass, concrete } = spray.width;
  if (widthFrom === 'nozzles') return { text: retype(widthBySpacingM!, spray.spacing.unit), unit: spray.spacing.unit, by: 'chosen' }; // prettier-ignore
  return { ...(widthFrom === 'concrete' ? concrete : grass), by: 'measured' };
}

/** A rate by volume for what sprays, by weight for what spreads; a number that was typed as the other is none of this one. */
function rateOf(input: CalibrationInput, sprays: boolean): CalibrationInput {
  if (isSprayed(dimensionOf(input.target.unit)) === sprays) return input;
  const us = systemOf(input.target.unit) === 'us';
  const unit = sprays ? (us ? 'gal/1000 ft2' : 'L/ha') : us ? 'lb/1000 ft2' : 'kg/ha';
  return { ...input, target: { amount: '', unit }, label: { pace: '', lines: [] } };
}
