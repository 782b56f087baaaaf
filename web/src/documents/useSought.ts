import { useEffect, useState } from 'react';

/** How long somebody has to pause before what is typed is looked for, ms. */
const PAUSE_MS = 200;

/** What is typed into the search of a list, and what is looked for: the same once somebody pauses. */
export function useSought() {
  const [value, onChange] = useState('');
  const [q, setQ] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setQ(value.trim()), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return { value, onChange, q };
}
