import { onlineManager, QueryClient } from '@tanstack/react-query';
import { connectionStore } from './connection.ts';

const isOnline = (): boolean => {
  const { reachable, paired } = connectionStore.get();
  return reachable && paired;
};

// Whether the server answers, and takes what this device sends, counts; whether there is a network does not.
onlineManager.setEventListener((setOnline) => connectionStore.subscribe(() => setOnline(isOnline())));

/** What was fetched and is still fresh. Handed to each query, so that the first screen works without it. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 5_000, retry: 1, refetchOnWindowFocus: false, networkMode: 'always' },
  },
});

// Answers of the time of silence came from this device: all of them are asked for again, however short it was.
onlineManager.subscribe((isBack) => void (isBack && queries.invalidateQueries()));
