import { calibrationFor, calibrationOn, type CalibrationInput } from '@steady-scatter/core/testing';
import type { AimProps } from './AimFields.tsx';

/** "Red push spreader, Lake feed 24-0-8": what a calibration is called when nobody said otherwise. */
const nameFor = (rig: string, product: string): string => [rig, product].filter(Boolean).join(', ').slice(0, 120); // prettier-ignore

/** The machine and the product: taking one fills in what is known of it. */
export function useTaking({ input, onChange, shelf: { rigs, products }, on }: AimProps) {
  const isNamed = input.name.trim() !== '' && input.name !== nameFor(on.rig?.name ?? '', input.product);
  const named = (next: CalibrationInput, rig: string) => (isNamed ? next : { ...next, name: nameFor(rig, next.product) }); // prettier-ignore
  return {
    rig(id: string) {
      const rig = rigs.find((each) => each.id === id)?.input;
      if (!rig) return onChange({ ...input, rig: id });
      return onChange(named(calibrationOn(input, id, rig), rig.name));
    },
    product(id: string) {
      const product = products.find((each) => each.id === id)?.input;
      if (!product) return onChange({ ...input, productId: '' });
      return onChange(named(calibrationFor(input, id, product, on.rig?.name ?? ''), on.rig?.name ?? ''));
    },
    productName(product: string) {
      onChange(named({ ...input, product }, on.rig?.name ?? ''));
    },
  };
}
