import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { systemOf, UNITS } from '@steady-scatter/core/quantities';
import { evaluateApplication, type ApplicationInput, type WeatherInput } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/record';
import { shownIn } from '../units/shownIn.ts';
import { spreadUnits } from '../units/spreadUnits.ts';

/** What went out on an area, over it: "18 lb, 3.2 lb / 1000 ft²". */
export function rowText(input: ApplicationInput): string {
  const { amountSi, achievedSi } = evaluateApplication(input);
  const isUs = systemOf(input.amount.unit) === 'us';
  const isLiquid = PRODUCT_KINDS[input.product.kind].form === 'liquid';
  const rate = achievedSi === null ? '' : shownIn(achievedSi, spreadUnits(isLiquid, isUs).rate); // prettier-ignore
  const amount = amountSi === null ? input.amount.text : shownIn(amountSi, input.amount.unit);
  return [amount, rate].filter(Boolean).join(', ');
}

/** The weather in a line: "5 mph, west, rain in 36 h, air 62 °F, moist ground". */
export function weatherText({ wind, rain, air, soil, pavement, ground, sky, unit }: WeatherInput): string {
  const degrees = (text: string) => `${text.trim()} ${UNITS[unit].symbol}`;
  return [
    wind.trim(),
    rain.trim() && say('record.weather.rain', { hours: rain.trim() }),
    air.trim() && say('record.weather.air', { degrees: degrees(air) }),
    soil.trim() && say('record.weather.soil', { degrees: degrees(soil) }),
    pavement.trim() && say('record.weather.pavement', { degrees: degrees(pavement) }),
    ground && say('record.weather.ground', { state: ground }),
    sky.trim(),
  ].filter(Boolean).join(', ');
} // prettier-ignore
