import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { blankLimits, evaluateLimits, readOutdoors } from '../products/index.ts';
import { againstLimits, blankWeather, conditionsNow, licenseOn, type WeatherInput } from './index.ts';

const weather = (more: Partial<WeatherInput> = {}): WeatherInput => ({ ...blankWeather('us'), wind: '5 mph, west', rain: '36', air: '62', ground: 'moist', ...more }); // prettier-ignore
const limits = evaluateLimits({ wind: { text: '10', unit: 'mph' }, rainFree: '24', air: { low: '40', high: '85', unit: 'degF' }, notOn: ['soaked', 'frozen'] }, 'limits'); // prettier-ignore
const told = (more: Partial<WeatherInput>) => againstLimits(limits, 'label', weather(more)).map(({ message }) => speak(message)); // prettier-ignore

describe('the weather against limits', () => {
  it('is read as it is said: its speed, where it comes from, calm', () => {
    expect(conditionsNow(weather()).windMPerS).toBeCloseTo(2.2352, 4);
    expect(conditionsNow(weather({ wind: 'calm' })).windMPerS).toBe(0);
    expect(conditionsNow(weather({ wind: '12 km/h' })).windMPerS).toBeCloseTo(3.333333, 5);
    expect(conditionsNow(weather({ wind: 'gusty' })).windMPerS).toBeNull();
  });

  it('kept says nothing, and a limit at its edge is kept', () => {
    expect(told({})).toEqual([]);
    expect(told({ wind: '10 mph', rain: '24', air: '85' })).toEqual([]);
  });

  it('each that is broken says what is and what is allowed', () => {
    expect(told({ wind: '14 mph' })).toEqual(['Wind 14 mph: the label allows at most 10 mph.']);
    expect(told({ rain: '6' })).toEqual(['Rain in 6 h: the label wants 24 dry hours after it.']);
    expect(told({ air: '91' })[0]).toMatch(
      /^Air 91 °F: the label allows no more than 85 °F\. Wait for the evening/,
    );
    expect(told({ air: '35' })).toEqual(['Air 35 °F: the label allows no less than 40 °F.']);
    expect(told({ ground: 'soaked' })).toEqual(['The ground is soaked: the label does not allow it.']);
  });

  it('what a limit asks for and nobody said is asked for, and breaks nothing', () => {
    const asked = againstLimits(limits, 'rules', blankWeather('us'));
    expect(asked.map(({ id }) => id)).toEqual(['wind', 'rain', 'cold', 'hot', 'ground']);
    expect(asked.every(({ isUnknown }) => isUnknown)).toBe(true);
    expect(againstLimits(evaluateLimits(blankLimits('us'), 'limits'), 'label', blankWeather('us'))).toEqual(
      [],
    );
  });

  it('limits the wrong way round, and slips of the unit, are refused', () => {
    const wrong = evaluateLimits(
      { ...blankLimits('us'), air: { low: '85', high: '40', unit: 'degF' } },
      'limits',
    );
    expect(wrong.errors.map(({ code, field }) => [code, field])).toEqual([
      ['product.range', 'limits.air.low'],
    ]);
    expect(() => readOutdoors('190', 'degF', 'air')).toThrow('temperature.slip');
  });
});

it.each([
  ['', '', 'none'],
  ['TH-1', '', 'holds'],
  ['TH-1', '2026-04-17', 'ended'],
  ['TH-1', '2026-04-18', 'soon'],
  ['TH-1', '2026-06-17', 'soon'],
  ['TH-1', '2026-06-18', 'holds'],
])('license %s until %s on 18 Apr 2026: %s', (license, licenseUntil, state) => {
  expect(licenseOn({ license, licenseUntil }, '2026-04-18')).toBe(state);
});
