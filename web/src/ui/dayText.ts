import { say } from '@steady-scatter/words/common';

/** Made with the first day that is shown: it takes its time. */
let format: Intl.DateTimeFormat | undefined;

/** A calendar day for reading: "18 Apr 2026"; nothing for no day. What is no day is shown as it was typed, and never throws. */
export function dayText(day: string): string {
  if (day.trim() === '') return '';
  const time = Date.parse(`${day}T00:00:00Z`);
  if (Number.isNaN(time)) return say('common.noDay', { day });
  format ??= new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }); // prettier-ignore
  const parts = Object.fromEntries(format.formatToParts(time).map(({ type, value }) => [type, value]));
  return `${parts['day']} ${parts['month']} ${parts['year']}`;
}
