import { AS_TYPED, shownIn, type ShownIn } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/shell';

export const THEMES = {
  system: say('shell.themeSystem'),
  day: say('shell.themeDayChoice'),
  night: say('shell.themeNightChoice'),
} as const;
export type ThemeChoice = keyof typeof THEMES;

/** What a person likes: never changes what was typed, only how things are shown and reached. */
export interface Preferences {
  readonly theme: ThemeChoice;
  readonly units: ShownIn;
  /** Whether single keys such as "n" are shortcuts. */
  readonly singleKeys: boolean;
}

export const DEFAULTS: Preferences = { theme: 'system', units: AS_TYPED, singleKeys: true };

/** Units set all at once; everything else is mixed. */
export const UNIT_SETS = {
  typed: AS_TYPED,
  us: { rate: 'lb/1000 ft2', amount: 'lb', area: 'ft2' },
  metric: { rate: 'kg/ha', amount: 'kg', area: 'm2' },
} as const satisfies Record<string, ShownIn>;

const KEY = 'steady-scatter.preferences';

/** The preferences that this browser holds; the defaults where it holds none that can be used. */
export function loadPreferences(store: Pick<Storage, 'getItem'>): Preferences {
  try {
    const { theme, units, singleKeys } = JSON.parse(store.getItem(KEY) ?? '{}') as Partial<Preferences>;
    return {
      theme: theme && Object.hasOwn(THEMES, theme) ? theme : DEFAULTS.theme,
      units: shownIn.safeParse(units).data ?? DEFAULTS.units,
      singleKeys: singleKeys !== false,
    };
  } catch {
    return DEFAULTS;
  }
}

export function savePreferences(store: Pick<Storage, 'setItem'>, preferences: Preferences): void {
  try {
    store.setItem(KEY, JSON.stringify(preferences));
  } catch {
    // A browser that holds nothing forgets them at the next visit; nothing typed is lost.
  }
}
