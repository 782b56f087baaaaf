import { chartMatch, type CalibrationAim } from '@steady-scatter/core/testing';
import type { SpreadInput } from '@steady-scatter/core/worksheet';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { explain } from '../api/explain.ts';
import { calibrationContext, useMachineShelf } from '../bench/calibrationContext.ts';
import { fetchDoc, useDoc } from '../documents/docs.ts';
import { AIMS, CALIBRATIONS } from '../kinds/useCalibrations.ts';
import { useNotices } from '../notices/notices.tsx';
import { useSheetForm } from '../sheet/sheet.tsx';

/** The machine that a job is spread with, as its chart has it: what is chosen, what it leans on, and whether it is for this product. */
export function useJobMachine() {
  const form = useSheetForm();
  const notices = useNotices();
  const spread = useWatch({ control: form.control, name: 'worksheet.spread' });
  const { data: chosen } = useDoc(CALIBRATIONS, spread.calibration === '' ? null : spread.calibration);
  const product = useWatch({ control: form.control, name: 'worksheet.product' });
  const shelf = useMachineShelf(chosen?.input.rig ?? '');
  // The same from key to key: what rests on them is worked out when they change.
  const on = useMemo(() => chosen && calibrationContext(chosen.input, shelf, chosen.id), [chosen, shelf]);
  const match = useMemo(
    () => (chosen && on ? chartMatch(product, chosen.input, on.product, spread.sameProduct) : null),
    [chosen, on, product, spread.sameProduct],
  );
  const change = (more: Partial<SpreadInput>) =>
    form.setValue('worksheet.spread', { ...spread, ...more }, { shouldDirty: true });
  const put = (calibration: string, input: CalibrationAim | null) => {
    const width = input && spread.width.text === '' ? { text: input.width.text, unit: input.width.unit } : spread.width; // prettier-ignore
    change({ calibration, width, recomputed: false, sameProduct: '' });
  };
  return {
    spread,
    product,
    chosen,
    on,
    match,
    change,
    choose(id: string) {
      if (id === '') put('', null);
      else void fetchDoc(AIMS, id).then(({ input }) => put(id, input), (failed: unknown) => notices.tell(explain(failed))); // prettier-ignore
    },
  };
}
