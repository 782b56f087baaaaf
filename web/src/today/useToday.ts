import {
  dayOfRow,
  isVoid,
  licenseOn,
  todayLines,
  type DoneRow,
  type TodayLine,
} from '@steady-scatter/core/season';
import { freshness } from '@steady-scatter/core/testing';
import { calibrationContext, useBenchShelf } from '../bench/calibrationContext.ts';
import { readable, useList } from '../documents/docs.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { useLooks } from '../kinds/useLooks.ts';
import { usePeople } from '../kinds/usePeople.ts';
import { useOrder } from '../load/useOrder.ts';
import { useOutbox } from '../outbox/index.ts';
import { today } from '../ui/today.ts';

const NONE: readonly DoneRow[] = [];
const MOST_JOBS = 200;

/** Charts that are signed off and not to be trusted today. */
function useStale() {
  const shelf = useBenchShelf();
  return shelf.calibrations.flatMap(({ id, input }) => {
    if (!input.signOff) return [];
    const { rig, product, winterFrom, drift } = calibrationContext(input, shelf, id);
    const { state } = freshness(input, rig, product, today(), { winterFrom, drift: drift ?? null });
    return state === 'stale' ? [{ id, name: input.name }] : [];
  });
}

/** What this day asks of the crew. */
export function useToday(): readonly TodayLine[] {
  const day = today();
  const { data } = useList(JOBS, { limit: MOST_JOBS });
  const rows = useApplications(null) ?? NONE;
  const { due } = useLooks(null, rows);
  const stale = useStale();
  const order = useOrder() ?? [];
  const people = usePeople();
  const unsent = useOutbox().length;
  const recorded = new Map<string, string[]>();
  for (const row of rows)
    if (!isVoid(row.input)) recorded.set(row.subject, [...(recorded.get(row.subject) ?? []), dayOfRow(row)]);
  return todayLines({
    today: day,
    unsent,
    jobs: readable<typeof JOBS.kind>(data?.lines ?? []).map(({ id, name, days, isReady }) => ({ id, name, days, isReady, recorded: recorded.get(id) ?? [] })),
    stale,
    looks: due.filter(({ state }) => state !== 'soon').map(({ row, to }) => ({ id: row.root, name: row.input.areaName, to })),
    short: order.flatMap(({ product, order: needed }) => (needed && needed.buy > 0 ? [{ id: product, name: product }] : [])),
    licenses: people.flatMap(({ id, input }) => (['soon', 'ended'].includes(licenseOn(input, day)) ? [{ id, name: input.name, until: input.licenseUntil }] : [])),
  });
} // prettier-ignore
