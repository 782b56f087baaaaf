import { evaluateRig, RIG_KIND_IDS, rigInput, rigUpgrades, type RigInput } from '@steady-scatter/core/machines'; // prettier-ignore
import * as z from 'zod';
import { message } from '@steady-scatter/core/messages';
import { countColumn, dayColumn, kindOf, whole, shortText, siColumn, type Column } from './kind.ts';

const rigKind: Column<RigInput['kind']> = { type: 'text', schema: z.enum(RIG_KIND_IDS) };

/** Machines, with the marks of their controls. */
export const rigs = kindOf({
  name: 'rigs',
  path: '/api/rigs',
  schema: rigInput,
  upgrades: rigUpgrades,
  evaluate: evaluateRig,
  columns: {
    kind: rigKind,
    control: shortText,
    marks: countColumn,
    firstMark: shortText,
    lastMark: shortText,
    hopperKg: siColumn,
    /** The next service that is due; empty: none. */
    dueDay: dayColumn,
  },
  sort: 'name',
  summarise: ({ kind, control, services }, { control: { marks }, hopperKg }) => ({
    kind,
    control: control.name,
    marks: marks.length,
    firstMark: marks[0]?.label ?? '',
    lastMark: marks.at(-1)?.label ?? '',
    hopperKg,
    dueDay: whole(services.map(({ dueDay }) => dueDay)).toSorted()[0] ?? '',
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ kind, notes }, speak) => whole([speak(message(`kinds.rig.${kind}`)), notes]),
  linksOf: () => [],
});
