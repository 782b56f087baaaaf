import { UNITS } from '@steady-scatter/core/quantities';
import type { ShownIn } from '@steady-scatter/core/worksheet';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { MASS_CHOICES, RATE_CHOICES, symbolOf, VOLUME_CHOICES, VOLUME_RATE_CHOICES } from '../units/units.ts';
import { AREA_CHOICES } from '../units/areas.ts';
import type { ShowIn } from '../ui/ResultTerm.tsx';
import { useSheet, useSheetForm } from './sheet.tsx';

const CHOICES = {
  massPerArea: RATE_CHOICES,
  volumePerArea: VOLUME_RATE_CHOICES,
  mass: MASS_CHOICES,
  volume: VOLUME_CHOICES,
  area: AREA_CHOICES,
} as const;

/** How one kind of worked-out value is shown on the open sheet, and how to change that. */
export function useShowIn(kind: keyof ShownIn): ShowIn {
  const form = useSheetForm();
  const { kind: measures } = UNITS[useSheet().answer.units[kind]];
  const shownIn = useWatch({ control: form.control, name: 'worksheet.shownIn' });
  const chosen = shownIn[kind];
  return useMemo(
    () => ({
      chosen,
      options: CHOICES[measures as keyof typeof CHOICES].map((id) => ({ id, symbol: symbolOf(id) })),
      onPick: (id) => form.setValue(`worksheet.shownIn.${kind}`, id as never, { shouldDirty: true }),
    }),
    [chosen, measures, kind, form],
  );
}
