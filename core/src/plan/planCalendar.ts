import ICAL from 'ical.js';
import { daysLater, isCalendarDay } from '../fields/days.ts';
import { message, type Speak } from '../messages/message.ts';
import { NEED_OF } from '../products/wanted.ts';
import { UNITS } from '../quantities/units.ts';
import type { PlanInput } from './planInput.ts';
import { portionGroups, type PortionGroup } from './portionGroups.ts';

/** A day of a calendar file: all of it. */
const dateOf = (day: string): ICAL.Time => ICAL.Time.fromDateString(day);

function eventOf({ id, portions }: PortionGroup, stamp: string, speak: Speak): ICAL.Component {
  const [first] = portions;
  const { onDay, productName, siteName, hold, why, amount, unit, nutrient: of } = first!;
  const areas = portions.map(({ areaName }) => areaName);
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', `${id}@steady-scatter`);
  event.addPropertyWithValue('dtstamp', ICAL.Time.fromDateTimeString(`${stamp.slice(0, 19)}Z`));
  event.addPropertyWithValue('dtstart', dateOf(onDay));
  event.addPropertyWithValue('dtend', dateOf(daysLater(onDay, 1)));
  event.addPropertyWithValue('summary', speak(message('calendar.event', { product: productName, site: siteName, hold: hold || 'none' }))); // prettier-ignore
  event.addPropertyWithValue('description', speak(message('calendar.what', { amount, unit: `${UNITS[unit].symbol}${of === 'product' ? '' : ` ${NEED_OF[of].symbol}`}`, areas: areas.join(', '), why: why.trim() || 'none' }))); // prettier-ignore
  event.addPropertyWithValue('location', siteName);
  event.addPropertyWithValue('status', hold === '' ? 'CONFIRMED' : 'TENTATIVE');
  event.addPropertyWithValue('transp', 'TRANSPARENT');
  return event;
}

/**
 * Plans as a calendar file (RFC 5545): a whole day for everything that goes on one site together; what waits is tentative.
 *
 * @param plans with the portions that are to be in it
 * @param stamp when it was made, ISO 8601 in UTC
 * @param speak says names and amounts in a language
 * @example planCalendar([], '2026-11-27T12:00:00.000Z', speak).startsWith('BEGIN:VCALENDAR') // true
 */
export function planCalendar(plans: readonly Pick<PlanInput, 'portions'>[], stamp: string, speak: Speak): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Steady Scatter//Plan//EN');
  calendar.addPropertyWithValue('calscale', 'GREGORIAN');
  calendar.addPropertyWithValue('x-wr-calname', speak(message('calendar.name')));
  const dated = plans.flatMap(({ portions }) => portions).filter(({ onDay }) => isCalendarDay(onDay));
  for (const group of portionGroups(dated))
    calendar.addSubcomponent(eventOf(group, stamp, speak));
  return `${calendar.toString()}\r\n`;
} // prettier-ignore
