import { expect, it } from 'vitest';
import { DEFAULTS, loadPreferences, savePreferences, UNIT_SETS, type Preferences } from './preferences.ts';

const holding = (text: string | null) => ({ getItem: () => text });

it('comes back as it was kept', () => {
  const held: string[] = [];
  const chosen: Preferences = {
    theme: 'night',
    units: { ...UNIT_SETS.metric, area: 'acre' },
    singleKeys: false,
  };
  savePreferences({ setItem: (_, value) => void held.push(value) }, chosen);
  expect(loadPreferences(holding(held[0] ?? null))).toEqual(chosen);
});

it.each([
  [null, DEFAULTS],
  ['{', DEFAULTS],
  ['[]', DEFAULTS],
  ['{"theme": "toString", "units": {"rate": "stone/rood", "amount": null, "area": null}}', DEFAULTS],
  ['{"theme": "day", "units": {"rate": "kg/ha"}}', { ...DEFAULTS, theme: 'day' }],
])('takes what can be used of %s', (text, expected) => {
  expect(loadPreferences(holding(text))).toEqual(expected);
});

it('goes on where the browser forbids its store', () => {
  const forbidden = () => {
    throw new DOMException('denied', 'SecurityError');
  };
  expect(loadPreferences({ getItem: forbidden })).toEqual(DEFAULTS);
  expect(() => savePreferences({ setItem: forbidden }, DEFAULTS)).not.toThrow();
});
