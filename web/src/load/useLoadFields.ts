import type { LoadAreaInput, LoadInput } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { useSheetForm } from '../sheet/sheet.tsx';

/** How an area is walked of which nothing was said. */
const blankArea = (id: string, unit: 'ft' | 'm'): LoadAreaInput => ({
  id,
  heading: '',
  length: { text: '', unit },
  refillAt: '',
});

/** What is typed of the load, and how it is changed. */
export function useLoadFields() {
  const form = useSheetForm();
  const input = useWatch({ control: form.control, name: 'load' });
  const set = <Field extends keyof LoadInput>(field: Field, value: LoadInput[Field]) =>
    form.setValue(`load.${field}` as 'load', value as never, { shouldDirty: true });
  const areaOf = (id: string): LoadAreaInput =>
    input.areas.find((each) => each.id === id) ?? blankArea(id, input.walk.unit === 'm' ? 'm' : 'ft');
  return {
    input,
    set,
    areaOf,
    setArea(id: string, more: Partial<LoadAreaInput>) {
      const rest = input.areas.filter((each) => each.id !== id);
      set('areas', [...rest, { ...areaOf(id), ...more }]);
    },
  };
}
