import {
  dayOfRow,
  isVoid,
  ledgerRow,
  licenseOn,
  todayLines,
  type DoneRow,
  type TodayLine,
  type TodayPortion,
} from '@steady-scatter/core/season';
import { daysLater, grouped } from '@steady-scatter/core/fields';
import { portionGroups, portionStates } from '@steady-scatter/core/plan';
import { freshness } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/today';
import { useMemo } from 'react';
import { calibrationContext, useBenchShelf } from '../bench/calibrationContext.ts';
import { readable, useList, useWhere } from '../documents/docs.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { useLooks } from '../kinds/useLooks.ts';
import { usePeople } from '../kinds/usePeople.ts';
import { usePlans } from '../kinds/usePlans.ts';
import { WALKS } from '../kinds/useWalks.ts';
import { useOrder } from '../load/useOrder.ts';
import { useOutbox } from '../outbox/index.ts';
import { today } from '../ui/today.ts';

const NONE: readonly DoneRow[] = [];
const MAX_JOBS = 200;

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

/** What is watered in later than that is watered in by rain, days. */
const WATER_DAYS = 1;

/** What was spread since yesterday and is to be watered in, by its record. */
const toWater = (rows: readonly DoneRow[], day: string) =>
  rows
    .filter(
      (row) =>
        !isVoid(row.input) && row.input.water.trim() !== '' && dayOfRow(row) >= daysLater(day, -WATER_DAYS),
    )
    .map((row) => ({
      id: new URLSearchParams({ q: row.input.areaName, from: dayOfRow(row), to: dayOfRow(row) }).toString(),
      name: row.input.areaName,
      onDay: dayOfRow(row),
    }));

/** What plans say and no record and no sheet is there of. */
function usePlanned(rows: readonly DoneRow[], day: string): readonly TodayPortion[] {
  const { data: plans } = usePlans();
  return useMemo(() => {
    const lines = rows.map(ledgerRow);
    return (plans ?? []).flatMap(({ id, input: { portions } }) => {
      const states = portionStates(portions, lines, day);
      const open = portions.filter((each) => each.job === '' && states.get(each.id)?.state !== 'done');
      return portionGroups(open).map((group): TodayPortion => {
        const [{ id: portion, productName, siteName, onDay, hold, why }] = group.portions as [
          (typeof portions)[number],
        ];
        return {
          id: `${id}?portion=${portion}`,
          name: say('today.planned', {
            product: productName,
            site: siteName || 'none',
            hold: hold || 'none',
            why: why.trim() || 'none',
          }),
          onDay,
          isHeld: hold !== '',
        };
      });
    });
  }, [plans, rows, day]);
}

/** What this day asks of the crew. */
export function useToday(): readonly TodayLine[] {
  const day = today();
  const { data } = useList(JOBS, { limit: MAX_JOBS });
  const rows = useApplications(null) ?? NONE;
  const { due } = useLooks(null, rows);
  const stale = useStale();
  const order = useOrder() ?? [];
  const people = usePeople();
  const unsent = useOutbox().length;
  const bySubject = grouped(rows.filter(({ input }) => !isVoid(input)), ({ subject }) => subject);
  const lines = readable<typeof JOBS.kind>(data?.lines ?? []);
  const { data: walks = [] } = useWhere(WALKS, '');
  const nameOf = (id: string) => lines.find((each) => each.id === id)?.name ?? '';
  return todayLines({
    today: day,
    unsent,
    runs: walks.filter(({ input }) => input.isBegun).map(({ input: { job } }) => ({ id: job, name: nameOf(job) })),
    water: toWater(rows, day),
    jobs: lines.map(({ id, name, days, isReady }) => ({ id, name, days, isReady, recorded: (bySubject.get(id) ?? []).map(dayOfRow) })),
    portions: usePlanned(rows, day),
    stale,
    looks: due.filter(({ state }) => state !== 'soon').map(({ row, to }) => ({ id: row.root, name: row.input.areaName, to })),
    short: order.flatMap(({ product, order: needed }) => (needed && needed.buy > 0 ? [{ id: product, name: product }] : [])),
    licenses: people.flatMap(({ id, input }) => (['soon', 'ended'].includes(licenseOn(input, day)) ? [{ id, name: input.name, until: input.licenseUntil }] : [])),
  });
} // prettier-ignore
