import { crewSettings, USUAL_SETTINGS, type CrewSettings } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { heldHere, holdHere } from '../ui/browserStores.ts';
import { CurrencyContext } from '../ui/currency.ts';

const KEY = 'steady-scatter.crew';

/** What this device knew last of the crew's settings: they hold without a network too. */
const known = () => heldHere(KEY, crewSettings);

/** What the crew has settled for all of its devices. */
export function useCrew(): CrewSettings {
  const { data } = useQuery(
    { queryKey: ['crew'], queryFn: ({ signal }) => call('crew', { signal }), placeholderData: known },
    queries,
  );
  return data ?? USUAL_SETTINGS;
}

/** Settles it anew, for all devices. */
export async function saveCrew(settings: CrewSettings): Promise<void> {
  queries.setQueryData(['crew'], await call('setCrew', { body: settings }));
}

/** Gives every screen the crew's currency, and notes what was settled on this device. */
export function CrewProvider({ children }: { children: ReactNode }) {
  const crew = useCrew();
  useEffect(() => void holdHere(KEY, crew), [crew]);
  return <CurrencyContext value={crew.currency}>{children}</CurrencyContext>;
}
