import { usePreferences } from './PreferencesProvider.tsx';

const METRIC = new Set<string | null>(['kg/ha', 'g/m2', 'kg/100 m2', 'm2', 'ha']);

/** The units that something new starts in, by what the person prefers. */
export function useSystem(): 'us' | 'metric' {
  const { rate, area } = usePreferences().preferences.units;
  return METRIC.has(area ?? rate) ? 'metric' : 'us';
}
