import { calibrationFor, calibrationOn, type CalibrationInput } from '@steady-scatter/core/testing';
import type { AimProps } from './AimFields.tsx';

/** "Red push spreader, Lake feed 24-0-8": what a calibration is called when nobody said otherwise. */
const nameFor = (rig: string, product: string): string => [rig, product].filter(Boolean).join(', ').slice(0, 120); // prettier-ignore

/** The machine and the product: taking one fills in what is known of it. */
export function useTaking({ typed, onChange, shelf: { rigs, products }, on }: AimProps) {
  const isNamed = typed.name.trim() !== '' && typed.name !== nameFor(on.rig?.name ?? '', typed.product);
  const named = (next: CalibrationInput, rig: string) => (isNamed ? next : { ...next, name: nameFor(rig, next.product) }); // prettier-ignore
  return {
    rig(id: string) {
      const rig = rigs.find((each) => each.id === id)?.typed;
      if (!rig) return onChange({ ...typed, rig: id });
      return onChange(named(calibrationOn(typed, id, rig), rig.name));
    },
    product(id: string) {
      const product = products.find((each) => each.id === id)?.typed;
      if (!product) return onChange({ ...typed, productId: '' });
      return onChange(named(calibrationFor(typed, id, product, on.rig?.name ?? ''), on.rig?.name ?? ''));
    },
    productName(product: string) {
      onChange(named({ ...typed, product }, on.rig?.name ?? ''));
    },
  };
}
