import ICAL from 'ical.js';

/** A span of closed dates, month-day to month-day, and what the calendar calls it. */
export interface ClosedSpan {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  /** It comes again each year by the calendar itself; false: it was said of one year. */
  readonly isYearly: boolean;
}

const MAX = 60;
const two = (n: number): string => String(n).padStart(2, '0');
const monthDay = ({ month, day }: ICAL.Time): string => `${two(month)}-${two(day)}`;

/** The last day of an event: an end without a time is the day after it. */
function lastDay(event: ICAL.Event): ICAL.Time {
  const { startDate, endDate } = event;
  const end = endDate.clone();
  const isExclusive = end.isDate || (end.hour === 0 && end.minute === 0 && end.second === 0);
  if (isExclusive && end.compare(startDate) > 0) end.adjust(-1, 0, 0, 0);
  return end;
}

/**
 * Closed dates of a calendar file, as rules take them: each event from its first day to its last.
 *
 * @returns null where the file is no calendar
 */
export function closedDatesIn(text: string): ClosedSpan[] | null {
  let events: ICAL.Component[];
  try {
    events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent');
  } catch {
    return null;
  }
  return events.slice(0, MAX).flatMap((component): ClosedSpan[] => {
    try {
      const event = new ICAL.Event(component);
      const rule = component.getFirstPropertyValue('rrule') as ICAL.Recur | null;
      return [{ name: event.summary ?? '', from: monthDay(event.startDate), to: monthDay(lastDay(event)), isYearly: rule?.freq === 'YEARLY' }]; // prettier-ignore
    } catch {
      return [];
    }
  });
}
