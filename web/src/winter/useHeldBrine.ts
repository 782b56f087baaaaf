import { blankBrine, brineInput, type BrineInput } from '@steady-scatter/core/winter';
import { useState } from 'react';
import { useSystem } from '../settings/useSystem.ts';
import { browser } from '../ui/browserStores.ts';

const KEY = 'steady-scatter.brine';

/** What was typed last on this device; null where there is none, or of another version. */
function lastTyped(): BrineInput | null {
  try {
    return brineInput.safeParse(JSON.parse(browser.getItem(KEY) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
}

/** Brine as it is typed: it stays on this device, and belongs to nobody's records. */
export function useHeldBrine() {
  const system = useSystem();
  const [input, setInput] = useState(() => lastTyped() ?? blankBrine(system));
  const hold = (next: BrineInput) => {
    setInput(next);
    try {
      browser.setItem(KEY, JSON.stringify(next));
    } catch {
      // It stands as long as the page is open.
    }
  };
  return {
    input,
    set: (changed: Partial<BrineInput>) => hold({ ...input, ...changed }),
    clear: () => hold(blankBrine(system)),
  };
}
