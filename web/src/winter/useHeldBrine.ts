import { blankBrine, brineInput, type BrineInput } from '@steady-scatter/core/winter';
import { useState } from 'react';
import { useSystem } from '../settings/useSystem.ts';
import { heldHere, holdHere } from '../ui/browserStores.ts';

const KEY = 'steady-scatter.brine';

/** Brine as it is typed: it stays on this device, and belongs to nobody's records. */
export function useHeldBrine() {
  const system = useSystem();
  const [input, setInput] = useState(() => heldHere(KEY, brineInput) ?? blankBrine(system));
  const hold = (next: BrineInput) => {
    setInput(next);
    holdHere(KEY, next);
  };
  return {
    input,
    set: (changed: Partial<BrineInput>) => hold({ ...input, ...changed }),
    clear: () => hold(blankBrine(system)),
  };
}
