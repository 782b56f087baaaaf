import { describe, expect, it } from 'vitest';
import { closedDatesIn } from './closedDates.ts';

const calendar = (...events: string[]): string => ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Tarn Hollow//sample//EN', events.map((lines) => `BEGIN:VEVENT\n${lines}\nEND:VEVENT`.replaceAll('\n', '\r\n')).join('\r\n'), 'END:VCALENDAR', ''].join('\r\n'); // prettier-ignore

describe('closed dates of a calendar', () => {
  it('are from the first day to the last, over New Year too', () => {
    const text = calendar('SUMMARY:Winter stop\nDTSTART;VALUE=DATE:20261215\nDTEND;VALUE=DATE:20270302\nRRULE:FREQ=YEARLY', 'SUMMARY:Town fair\nDTSTART;VALUE=DATE:20260620\nDTEND;VALUE=DATE:20260622'); // prettier-ignore
    expect(closedDatesIn(text)).toEqual([
      { name: 'Winter stop', from: '12-15', to: '03-01', isYearly: true },
      { name: 'Town fair', from: '06-20', to: '06-21', isYearly: false },
    ]);
  });

  it('with times end on the day they end, and one day is one day', () => {
    const text = calendar('SUMMARY:Race\nDTSTART:20260704T080000\nDTEND:20260704T180000', 'SUMMARY:Day\nDTSTART;VALUE=DATE:20260101'); // prettier-ignore
    expect(closedDatesIn(text)!.map(({ from, to }) => [from, to])).toEqual([['07-04', '07-04'], ['01-01', '01-01']]); // prettier-ignore
  });

  it('the leap day is one', () => {
    expect(closedDatesIn(calendar('SUMMARY:Leap\nDTSTART;VALUE=DATE:20280229\nDTEND;VALUE=DATE:20280301'))).toMatchObject([{ from: '02-29', to: '02-29' }]); // prettier-ignore
  });

  it.each(['', 'Name,Day', '<html>', 'BEGIN:VCALENDAR'])('%j is no calendar, or an empty one', (text) => {
    expect(closedDatesIn(text) ?? []).toEqual([]);
  });
});
