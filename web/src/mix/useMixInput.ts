import { blankMix, mixForSoilTest, evaluateMix, type MixInput } from '@steady-scatter/core/mix';
import { SOIL_NUTRIENTS, type SoilTestInput } from '@steady-scatter/core/need';
import type { MassPerAreaUnit } from '@steady-scatter/core/quantities';
import { useEffect, useState } from 'react';
import { tabAndBrowser } from '../ui/browserStores.ts';

const KEY = 'steady-scatter.mix';

/** The search that was typed last in this browser; null when there is none that this version can use. */
function heldMix(blank: MixInput): MixInput | null {
  try {
    const held = JSON.parse(tabAndBrowser.getItem(KEY) ?? 'null') as MixInput | null;
    if (!held) return null;
    const needs = Object.fromEntries(
      SOIL_NUTRIENTS.map((id) => [id, { ...blank.needs[id], ...held.needs[id] }]),
    ) as MixInput['needs'];
    const input = { ...blank, ...held, needs };
    // Throws on a shape that this version does not know.
    evaluateMix(input);
    return input;
  } catch {
    return null;
  }
}

/** What a mix is looked for with: held in the browser, so that a reload loses nothing. */
export function useMixInput(unit: MassPerAreaUnit, soil: SoilTestInput | undefined) {
  const [input, setInput] = useState(() => {
    const blank = blankMix(unit, /ft2|acre/.test(unit) ? 'ft2' : 'm2');
    const held = heldMix(blank) ?? blank;
    return soil ? mixForSoilTest(held, soil) : held;
  });
  useEffect(() => {
    try {
      tabAndBrowser.setItem(KEY, JSON.stringify(input));
    } catch {
      // A browser that holds nothing loses this at a reload; the search still works.
    }
  }, [input]);
  return { input, change: (more: Partial<MixInput>) => setInput((now) => ({ ...now, ...more })), setInput };
}
