import { useMemo } from 'react';
import { usePreferences } from '../settings/PreferencesProvider.tsx';

const ROLES = [
  'ink',
  'ink-soft',
  'line',
  'paper',
  'soft',
  'act',
  'water',
  'warn',
  'tape',
  'tape-ink',
] as const;
export type Ink = Readonly<Record<(typeof ROLES)[number], string>>;

/** The colours of the theme for a canvas, which knows no style sheet. */
export function useInk(): Ink {
  const { isNight } = usePreferences();
  return useMemo(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement);
      return Object.fromEntries(
        ROLES.map((role) => [role, style.getPropertyValue(`--chakra-colors-${role}`).trim()]),
      ) as Ink;
    };
    // The theme's class is set after the first drawing; the classes say which it will be.
    const { classList } = document.documentElement;
    const was = classList.contains('dark');
    if (was === isNight) return read();
    classList.toggle('dark', isNight);
    const ink = read();
    classList.toggle('dark', was);
    return ink;
  }, [isNight]);
}

export const FIGURES = '"Atkinson Hyperlegible Next Variable", sans-serif';
