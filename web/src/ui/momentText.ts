import { dayText } from './dayText.ts';
import { dayOf, today } from './today.ts';

const CLOCK = new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit' });

/** A moment as people say it: its time today, else its day. */
export function momentText(ms: number): string {
  const moment = new Date(ms);
  const day = dayOf(moment);
  return day === today() ? CLOCK.format(moment) : dayText(day);
}
