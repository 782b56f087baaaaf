/** What stands in a calendar file. */
export const calendar = {
  'calendar.name': 'Steady Scatter plan',
  'calendar.event':
    '{product}{site, select, none {} other { on {site}}}{hold, select, none {} weather {, waits for the weather} look {, look first} other {, held}}',
  'calendar.what': '{amount} {unit} on {areas}.{why, select, none {} other { Held: {why}.}}',
} as const;
