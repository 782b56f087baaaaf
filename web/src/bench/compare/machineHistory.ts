import type { RigInput } from '@steady-scatter/core/machines';
import { say } from '@steady-scatter/words/bench';
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

function testsOf({ id, input, on }: Compared): Happened[] {
  const machine = on.rig?.name ?? say('bench.compare.noMachine');
  const product = input.product || input.name;
  const link = `/bench/${id}`;
  const days = [...new Set(input.runs.map(({ onDay }) => onDay))];
  const tested = days.map((day) => {
    const count = input.runs.filter(({ onDay }) => onDay === day).length;
    return {
      day,
      machine,
      what: `${product}: ${count === 1 ? say('bench.compare.oneRun') : say('bench.compare.runs', { count })}`,
      link,
    };
  });
  const { signOff } = input;
  if (!signOff) return tested;
  const what = say('bench.compare.signedOff', {
    product,
    setting: signOff.setting,
    by: signOff.by || 'none',
    state: FRESH_WORDS[ageOf(input, on).state],
  });
  return [...tested, { day: signOff.onDay, machine, what, link }];
}

/** Services and calibrations of all machines, the latest day first. */
export function machineHistory(
  rigs: readonly Doc<RigInput>[],
  calibrations: readonly Compared[],
): Happened[] {
  const services = rigs.flatMap(({ input }) =>
    input.services.map(({ onDay, what }) => ({
      day: onDay,
      machine: input.name,
      what: say('bench.compare.service', { what }),
      link: null,
    })),
  );
  return [...services, ...calibrations.flatMap(testsOf)].toSorted((a, b) => b.day.localeCompare(a.day));
}
