import { SHARES, TREATMENTS, TRENDS } from '@steady-scatter/core/winter';
import { useState } from 'react';
import * as z from 'zod';
import { heldHere, holdHere } from '../../ui/browserStores.ts';
import { useSystem } from '../../settings/useSystem.ts';

const text = z.string().max(200);

/** What is typed or chosen of a night, on this device. */
const nightInput = z.object({
  /** Empty: as the station reads it. */
  pavement: text,
  unit: z.enum(['degF', 'degC']),
  /** What a typed temperature was read on; empty: nobody said. */
  readOn: z.enum(['', 'pavement', 'air']),
  trend: z.enum(['', ...TRENDS]),
  situation: text,
  treatment: z.enum(TREATMENTS),
  guide: text,
  product: text,
  isPrewetted: z.boolean(),
  machine: text,
  share: z.enum(['', ...SHARES]),
});
export type NightInput = z.infer<typeof nightInput>;

const KEY = 'steady-scatter.tonight';

const blankNight = (system: 'us' | 'metric'): NightInput => ({
  pavement: '',
  unit: system === 'us' ? 'degF' : 'degC',
  readOn: '',
  trend: '',
  situation: '',
  treatment: 'after',
  guide: '',
  product: '',
  isPrewetted: false,
  machine: '',
  share: '',
});

/** The night as it is typed: what was chosen last stands there the next time. */
export function useHeldNight() {
  const system = useSystem();
  const [input, setInput] = useState(() => heldHere(KEY, nightInput) ?? blankNight(system));
  return {
    input,
    set(changed: Partial<NightInput>) {
      const next = { ...input, ...changed };
      setInput(next);
      holdHere(KEY, next);
    },
  };
}
