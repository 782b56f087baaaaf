import { useEffect, useState } from 'react';

/**
 * Whether what this is part of stands on the screen. A dialog draws what is seen first of it, and the rest once it stands: it opens sooner.
 * What is deferred would wait longer, since a dialog comes in a transition.
 */
export function useStands(): boolean {
  const [stands, setStands] = useState(false);
  // oxlint-disable-next-line react/set-state-in-effect -- that is what is told: the first drawing is done
  useEffect(() => setStands(true), []);
  return stands;
}
