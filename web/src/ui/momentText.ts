import { dayText } from './dayText.ts';
import { dayOf, today } from './today.ts';

const CLOCK = new Intl.DateTimeFormat('en-US', { hour: 'numeric', minute: '2-digit' });

/** The time of day: "7:30 PM". */
export const clockText = (moment: Date): string => CLOCK.format(moment);

/** A moment as people say it: its time today, else its day. */
export function momentText(ms: number): string {
  const moment = new Date(ms);
  const day = dayOf(moment);
  return day === today() ? clockText(moment) : dayText(day);
}

/** Day and time where it was, apart by a space. */
export function atPlace(moment: string): string {
  const at = new Date(moment);
  return `${dayOf(at)} ${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
}
