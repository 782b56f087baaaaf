import { useQuery } from '@tanstack/react-query';
import { call } from './lazyCall.ts';
import { queries } from './queries.ts';

/** Where this is reached, and whether this device is trusted. */
export const useHere = () =>
  useQuery({ queryKey: ['here'], queryFn: ({ signal }) => call('here', { signal }) }, queries);
