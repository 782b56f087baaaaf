import { blankWorksheet, newJob, type JobInput, type ShownIn } from '@steady-scatter/core/worksheet';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/sheet';
import { preferredSystem } from '../settings/useSystem.ts';
import { today } from '../ui/today.ts';

/** What is on a sheet: its heading and the worksheet as typed. */
export type SheetForm = JobInput;

/** An empty sheet for today, in the units that the person prefers. */
export const blankForm = ({ rate, area }: ShownIn): SheetForm =>
  newJob({ name: '', onDay: today(), worksheet: blankWorksheet(preferredSystem(rate, area), newId()) });

/** The same sheet for today under another name, with areas of its own; nobody marked it ready yet. */
export function copyOf({ name, worksheet, load }: SheetForm): SheetForm {
  const ids = new Map(worksheet.areas.map(({ id }) => [id, newId()]));
  const areas = worksheet.areas.map((area) => ({ ...area, id: ids.get(area.id)! }));
  const walked = load.areas.flatMap((area) => (ids.has(area.id) ? [{ ...area, id: ids.get(area.id)! }] : []));
  return {
    name: say('sheet.job.copyName', { name }).slice(-120),
    onDay: today(),
    worksheet: { ...worksheet, areas },
    load: { ...load, areas: walked, ready: null },
  };
}
