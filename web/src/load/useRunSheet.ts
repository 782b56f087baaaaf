import { difference, evaluateSite, lyingGround, type SiteInput } from '@steady-scatter/core/ground';
import { evaluateRig } from '@steady-scatter/core/machines';
import {
  runSheet,
  type GroundFacts,
  type MachineFacts,
  type RunFacts,
  type RunSheet,
} from '@steady-scatter/core/runSheet';
import { isSprayed, mayGiveSetting } from '@steady-scatter/core/testing';
import {
  evaluateLoad,
  goesInTank,
  tankSheet,
  type LoadInput,
  type LoadResult,
  type WorksheetInput,
} from '@steady-scatter/core/worksheet';
import { useDeferredValue, useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { ageOf } from '../bench/SignOff.tsx';
import { useSome, type Doc } from '../documents/docs.ts';
import { SITES } from '../kinds/useSites.ts';
import { useJobMachine } from '../machine/useJobMachine.ts';
import { useRuleChecks } from '../regulations/useRuleChecks.ts';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { useShared } from '../ui/useShared.ts';

const NONE: readonly never[] = [];

/** An area of a site as it lies: without what its buffers hold back; null where its parts have no place. */
function groundIn({ input }: Doc<SiteInput>, areaId: string): GroundFacts | null {
  const index = input.areas.findIndex(({ id }) => id === areaId);
  const area = input.areas[index];
  const read = area && evaluateSite(input).areas[index];
  const ground = read && lyingGround(area, read.measured);
  if (!ground || ground.length === 0) return null;
  const edges = read.edges.flatMap(({ of, lines }) => lines.map((line) => Object.assign({ kind: of }, line)));
  const { buffers } = read;
  const treated = buffers.ground.length === 0 ? ground : difference(ground, buffers.ground);
  return { treated, area: ground, edges, isPlaced: area.layoutMode === 'placed' };
}

/** The ground of each row that was chosen from a site, by the id of the row. */
function useGrounds({ areas }: WorksheetInput): {
  grounds: ReadonlyMap<string, GroundFacts>;
  sites: readonly Doc<SiteInput>[];
} {
  const ids = useMemo(() => [...new Set(areas.flatMap(({ from }) => (from ? [from.site] : [])))], [areas]);
  const { data: sites = NONE } = useSome(SITES, ids);
  const grounds = useMemo(() => {
    const found = areas.flatMap(({ id, from }): [string, GroundFacts][] => {
      const site = from && sites.find((each) => each.id === from.site);
      const ground = site && groundIn(site, from.area);
      return ground ? [[id, ground]] : [];
    });
    return new Map(found);
  }, [areas, sites]);
  return { grounds, sites };
}

/** What the run sheet has to know of the machine. */
function machineFacts({ chosen, on, match }: ReturnType<typeof useJobMachine>): MachineFacts | null {
  if (!chosen || !on?.rig || !match) return null;
  const { hopperKg, spray } = evaluateRig(on.rig);
  return {
    kind: on.rig.kind,
    reading: on.reading,
    isCeiling: chosen.input.isCeiling,
    isSigned: chosen.input.signOff !== null,
    isForProduct: mayGiveSetting(match),
    age: ageOf(chosen.input, on),
    holdsSi: isSprayed(on.reading.dimension) ? spray.tankL : hopperKg,
  };
}

/** The finished mix on the ground where the product goes into a tank, L/m2; null: it goes into a hopper. */
function useMix(machine: ReturnType<typeof useJobMachine>): number | null {
  const { answer, worksheet } = useSheet();
  const { on } = machine;
  const isSprayer = on !== undefined && on !== null && isSprayed(on.reading.dimension);
  const tankL = on?.bench.spray?.tankL ?? null;
  const chartLPerM2 = isSprayer ? (on.reading.spray?.now?.mean.mean ?? null) : null;
  return useMemo(
    () =>
      isSprayer && goesInTank(worksheet.product.kind)
        ? tankSheet(worksheet, answer, { tankL, chartLPerM2 }).mixLPerM2
        : null,
    [isSprayer, worksheet, answer, tankL, chartLPerM2],
  );
}

export interface RunOfSheet {
  readonly sheet: RunSheet;
  readonly input: LoadInput;
  readonly load: LoadResult;
  readonly machine: MachineFacts | null;
  readonly rig: string;
  readonly sites: readonly Doc<SiteInput>[];
}

/** The run sheet of the open job, as it is typed. */
export function useRunSheet(): RunOfSheet {
  const { control } = useSheetForm();
  const { answer, worksheet } = useSheet();
  const typed = useWatch({ control, name: 'load' });
  // A heading that is typed is shown at once; the passes follow.
  const input = useDeferredValue(typed);
  const [name, onDay] = useWatch({ control, name: ['name', 'onDay'] });
  const jobMachine = useJobMachine();
  const { grounds, sites } = useGrounds(worksheet);
  const { checks } = useRuleChecks();
  const mixLPerM2 = useMix(jobMachine);
  const { chosen, on, match } = jobMachine;
  // oxlint-disable-next-line react/exhaustive-deps -- the parts that it is made of
  const machine = useMemo(() => machineFacts(jobMachine), [chosen, on, match]);
  const load = useMemo(() => evaluateLoad(input), [input]);
  // What is worked out anew with each key is the same while it says the same.
  const broken = useShared(
    checks.filter(({ state }) => state === 'broken').map(({ id, rule }) => ({ id, rule })),
  );
  const drift = useShared<RunFacts['drift']>(on?.drift ?? null);
  const sheet = useMemo(() => {
    return runSheet(
      { name, onDay, worksheet, load: input },
      { answer, load, errors: [] },
      { grounds, machine, mixLPerM2, drift, broken },
    );
  }, [name, onDay, worksheet, input, answer, load, grounds, machine, mixLPerM2, drift, broken]);
  return { sheet, input, load, machine, rig: chosen?.input.rig ?? '', sites };
}
