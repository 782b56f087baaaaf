import {
  createContext,
  use,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { browser } from '../ui/browserStores.ts';
import { loadPreferences, savePreferences, type Preferences } from './preferences.ts';

interface Held {
  readonly preferences: Preferences;
  readonly isNight: boolean;
  change(more: Partial<Preferences>): void;
}

const PreferencesContext = createContext<Held | null>(null);
const darkQuery = matchMedia('(prefers-color-scheme: dark)');

const useSystemIsNight = () =>
  useSyncExternalStore(
    (changed) => {
      darkQuery.addEventListener('change', changed);
      return () => darkQuery.removeEventListener('change', changed);
    },
    () => darkQuery.matches,
  );

/** Holds the preferences of this browser and sets the theme on the page. */
export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [preferences, setPreferences] = useState(() => loadPreferences(browser));
  const systemIsNight = useSystemIsNight();
  const isNight = preferences.theme === 'system' ? systemIsNight : preferences.theme === 'night';
  useEffect(() => {
    const { classList, style } = document.documentElement;
    classList.toggle('dark', isNight);
    classList.toggle('light', !isNight);
    style.colorScheme = isNight ? 'dark' : 'light';
  }, [isNight]);
  const held = useMemo<Held>(
    () => ({
      preferences,
      isNight,
      change(more) {
        const next = { ...preferences, ...more };
        setPreferences(next);
        savePreferences(browser, next);
      },
    }),
    [preferences, isNight],
  );
  return <PreferencesContext value={held}>{children}</PreferencesContext>;
}

/** The preferences, and how to change them. */
export function usePreferences(): Held {
  const held = use(PreferencesContext);
  if (!held) throw new Error('usePreferences needs a PreferencesProvider above it.');
  return held;
}
