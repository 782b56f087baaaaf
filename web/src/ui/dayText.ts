const FORMAT = new Intl.DateTimeFormat('en', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** A calendar day for reading: "18 Apr 2026"; nothing for no day. */
export function dayText(day: string): string {
  if (day === '') return '';
  const parts = Object.fromEntries(
    FORMAT.formatToParts(new Date(`${day}T00:00:00Z`)).map(({ type, value }) => [type, value]),
  );
  return `${parts['day']} ${parts['month']} ${parts['year']}`;
}
