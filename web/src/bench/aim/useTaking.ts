import { rigKind } from '@steady-scatter/core/machines';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import {
  calibrationFor,
  calibrationOn,
  withoutRig,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { latestAccepted, useWidthTests } from '../../kinds/useWidthTests.ts';
import type { AimProps } from './aimProps.ts';

/** "Red push spreader, Lake feed 24-0-8": what a calibration is called when nobody said otherwise. */
const nameFor = (rig: string, product: string): string =>
  [rig, product].filter(Boolean).join(', ').slice(0, 120);

type Found = Pick<CalibrationInput['width'], 'text' | 'unit'>;

/** The same without a spacing that was found by trays for another machine. */
const withoutFound = (input: CalibrationInput, found: Found | null): CalibrationInput =>
  found && found.text === input.width.text && found.unit === input.width.unit
    ? { ...input, width: { ...input.width, text: '' } }
    : input;

/** The machine and the product: taking one fills in what is known of it. */
export function useTaking({ input, onChange, shelf: { rigs, products }, on }: AimProps) {
  const { data: tests = [] } = useWidthTests();
  const foundFor = (rig: string): Found | null => {
    const accepted = latestAccepted(tests, rig)?.input.accepted;
    return accepted ? { text: accepted.text, unit: accepted.unit } : null;
  };
  const isNamed = input.name.trim() !== '' && input.name !== nameFor(on.rig?.name ?? '', input.product);
  const named = (next: CalibrationInput, rig: string) =>
    isNamed ? next : { ...next, name: nameFor(rig, next.product) };
  return {
    rig(id: string) {
      const rig = rigs.find((each) => each.id === id)?.input;
      if (!rig) return onChange({ ...input, rig: id });
      const left =
        on.rig && input.rig !== id ? withoutRig(withoutFound(input, foundFor(input.rig)), on.rig) : input;
      const found = rigKind(rig.kind).width === 'passes' && foundFor(id);
      const isOpen = left.width.text.trim() === '' || left.runs.length === 0;
      // The spacing that was found by trays goes before the usual one.
      const width = found && isOpen ? { ...found, by: 'chosen' as const } : left.width;
      return onChange(named(calibrationOn({ ...left, width }, id, rig), rig.name));
    },
    product(id: string) {
      const product = products.find((each) => each.id === id)?.input;
      if (!product) return onChange({ ...input, productId: '' });
      const puts = on.rig ? rigKind(on.rig.kind).puts : 'both';
      const isLiquid = PRODUCT_KINDS[product.kind].form === 'liquid';
      const sprays = puts === 'both' ? isLiquid : puts === 'wet';
      const taken = calibrationFor(input, id, product, on.rig?.name ?? '', sprays);
      // Of a machine that does both, what is tested has a width of its own.
      const isOther = puts === 'both' && on.rig && taken.target.unit !== input.target.unit;
      return onChange(named(isOther ? calibrationOn({ ...taken, width: { ...taken.width, text: '' } }, input.rig, on.rig) : taken, on.rig?.name ?? '')); // prettier-ignore
    },
    productName(product: string) {
      onChange(named({ ...input, product }, on.rig?.name ?? ''));
    },
  };
}
