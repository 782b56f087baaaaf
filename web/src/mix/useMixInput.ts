import { blankMix, mixForSoilTest, evaluateMix, type MixInput } from '@steady-scatter/core/mix';
import { SOIL_NUTRIENTS, type SoilTestInput } from '@steady-scatter/core/need';
import type { MassPerAreaUnit } from '@steady-scatter/core/quantities';
import { useEffect, useState } from 'react';
import { holdDraft, openDraft } from '../documents/drafts.ts';

/** What is typed of a mix is held as a draft is; it is never saved. */
const draftOf = (blank: MixInput) => ({
  kind: {
    name: 'mix',
    schemaVersion: 1,
    upgrades: [],
    schema: {
      parse(value: unknown): MixInput {
        const held = value as Partial<MixInput>;
        const needs = Object.fromEntries(
          SOIL_NUTRIENTS.map((id) => [id, { ...blank.needs[id], ...held.needs?.[id] }]),
        ) as MixInput['needs'];
        const input = { ...blank, ...held, needs };
        // Throws on a shape that this version does not know.
        evaluateMix(input);
        return input;
      },
    },
  },
});

/** What a mix is looked for with: held in the browser, so that a reload loses nothing. */
export function useMixInput(unit: MassPerAreaUnit, soil: SoilTestInput | undefined) {
  const [input, setInput] = useState(() => {
    const blank = blankMix(unit, /ft2|acre/.test(unit) ? 'ft2' : 'm2');
    const held = openDraft(draftOf(blank), 'new')?.input ?? blank;
    return soil ? mixForSoilTest(held, soil) : held;
  });
  useEffect(() => {
    void holdDraft(draftOf(input), 'new', { input, base: null });
  }, [input]);
  return { input, change: (more: Partial<MixInput>) => setInput((now) => ({ ...now, ...more })), setInput };
}
