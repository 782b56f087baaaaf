import { systemOf, type System, type UnitId } from '@steady-scatter/core/quantities';
import { usePreferences } from './PreferencesProvider.tsx';

/** The system of the first unit that a person prefers; that of the United States where none is said. */
export function preferredSystem(...preferred: readonly (UnitId | null)[]): System {
  const unit = preferred.find((each) => each !== null);
  return unit ? systemOf(unit) : 'us';
}

/** The units that something new starts in, by what the person prefers. */
export function useSystem(): System {
  const { rate, area } = usePreferences().preferences.units;
  return preferredSystem(area, rate);
}
