import type { Rig } from '@steady-scatter/contract';
import type { Doc } from '../../documents/docs.ts';
import { ageOf, FRESH_WORDS } from '../SignOff.tsx';
import type { Compared } from './compared.ts';

/** Something that happened to a machine. */
export interface Happened {
  readonly day: string;
  readonly machine: string;
  readonly what: string;
  /** Where it is read in full. */
  readonly link: string | null;
}

function testsOf({ id, typed, on }: Compared): Happened[] {
  const machine = on.rig?.name ?? 'no machine';
  const product = typed.product || typed.name;
  const link = `/bench/${id}`;
  const days = [...new Set(typed.runs.map(({ onDay }) => onDay))];
  const tested = days.map((day) => {
    const count = typed.runs.filter(({ onDay }) => onDay === day).length;
    return { day, machine, what: `${product}: ${count === 1 ? 'one run' : `${count} runs`}`, link };
  });
  const { signOff } = typed;
  if (!signOff) return tested;
  const by = signOff.by ? ` by ${signOff.by}` : '';
  const what = `${product}: kept at ${signOff.setting}${by} (${FRESH_WORDS[ageOf(typed, on).state]})`;
  return [...tested, { day: signOff.onDay, machine, what, link }];
}

/** Services and calibrations of all machines, the latest day first. */
export function machineHistory(
  rigs: readonly Doc<Rig['typed']>[],
  calibrations: readonly Compared[],
): Happened[] {
  const services = rigs.flatMap(({ typed }) =>
    typed.services.map(({ onDay, what }) => ({
      day: onDay,
      machine: typed.name,
      what: `worked on: ${what}`,
      link: null,
    })),
  );
  return [...services, ...calibrations.flatMap(testsOf)].toSorted((a, b) => b.day.localeCompare(a.day));
}
