import { QueryClient } from '@tanstack/react-query';

/** What was fetched and is still fresh. Handed to each query, so that the first screen works without it. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: { staleTime: 5_000, retry: 1, refetchOnWindowFocus: false, networkMode: 'always' },
  },
});
