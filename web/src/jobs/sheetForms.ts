import type { Job } from '@steady-scatter/contract';
import { blankWorksheet, type ShownIn } from '@steady-scatter/core/worksheet';
import { v7 as newId } from 'uuid';
import { today } from '../ui/today.ts';
import type { SheetForm } from './drafts.ts';

const METRIC_RATES = new Set<string | null>(['kg/ha', 'g/m2', 'kg/100 m2']);

/** An empty sheet for today, in the units that the person prefers. */
export const blankForm = ({ rate }: ShownIn): SheetForm => ({
  name: '',
  onDay: today(),
  worksheet: blankWorksheet(METRIC_RATES.has(rate) ? 'metric' : 'us', newId()),
});

/** What of a job is typed on its sheet. */
export const formOf = ({ name, onDay, worksheet }: Job): SheetForm => ({ name, onDay, worksheet });

/** The same sheet for today under another name, with areas of its own. */
export function copyOf({ name, worksheet }: SheetForm): SheetForm {
  const areas = worksheet.areas.map((area) => ({ ...area, id: newId() }));
  return { name: `${name} (copy)`.slice(-120), onDay: today(), worksheet: { ...worksheet, areas } };
}
