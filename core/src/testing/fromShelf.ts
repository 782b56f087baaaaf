import { labelRate } from '../need/labelRate.ts';
import { retype } from '../quantities/show.ts';
import { evaluateProduct } from '../shelf/evaluateProduct.ts';
import { rigKind, type RigInput } from '../rigs/index.ts';
import { PRODUCT_KINDS, type ProductInput } from '../shelf/product.ts';
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
 * @example calibrationFor(typed, id, lakeFeed, 'Green rotary').label // { pace: '3 mph', lines: [{ setting: '7', amount: '3.333333 …' }] }
 */
export function calibrationFor(
  typed: CalibrationInput,
  id: string,
  product: ProductInput,
  machine: string,
): CalibrationInput {
  const { package: pack, coverage, labelLow } = evaluateProduct(product);
  const rate = pack && coverage ? labelRate(pack.si, coverage.areaM2) : labelLow;
  const printed = product.settings.filter((setting) => isFor(setting.machine, machine));
  const isForgiving = PRODUCT_KINDS[product.kind].puts === 'de-icer';
  const isDry = PRODUCT_KINDS[product.kind].form === 'dry';
  return {
    ...typed,
    productId: id,
    product: product.name,
    lot: product.lot,
    grain: product.grainSize,
    tolerance: isForgiving && typed.tolerance === '5' ? '10' : typed.tolerance,
    isCeiling: typed.isCeiling || product.kind === 'granular-carrier',
    label:
      printed.length > 0 && rate !== null && isDry
        ? { pace: printed[0]!.pace, lines: printed.map(({ setting }) => ({ setting, amount: retype(rate, typed.target.unit) })) } // prettier-ignore
        : typed.label,
  };
}

/**
 * A calibration on a machine: its pass spacing and usual pace where none was typed yet; what a hopper drops is as wide as it measures.
 *
 * @example calibrationOn(blankCalibration('us'), id, dropSpreader).width // { text: '36', unit: 'in', by: 'measured' }
 */
export function calibrationOn(typed: CalibrationInput, id: string, rig: RigInput): CalibrationInput {
  const width = typed.width.text === '' ? { ...rig.width, by: typed.width.by } : typed.width;
  return {
    ...typed,
    rig: id,
    width: { ...width, by: rigKind(rig.kind).width === 'hopper' ? 'measured' : width.by },
    pace: typed.pace.time === '' ? rig.pace : typed.pace,
  };
}
