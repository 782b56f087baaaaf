/** What is said of what a day asks of the crew. */
export const today = {
  'today.title': 'Today · Steady Scatter',
  'today.heading': 'Today, {day}',
  'today.nothing': 'Nothing is due. Start a new sheet, or look at the ledger for what is still allowed.',
  'today.line':
    '{kind, select, run {A run on {name} is under way} water {Water in {name}, spread {day}} held {{name}, {day}, waits} unsent {{more, plural, one {One save waits} other {# saves wait}} on this device for the server} overdue {{name} was due {day}{ready, select, yes {} plan {} other {, and is held}}} due {{name} is due {day}{ready, select, yes {} plan {} other {, and is held}}} stale {The chart {name} is stale} look {Look at {name} until {day}} short {{name} is short on the shelf} other {The license of {name} ends {day}}}{kind, select, unsent {} other {{more, plural, =0 {} one {; one more like it} other {; # more like it}}}}',
  'today.act':
    '{kind, select, run {Go on} water {See the record} held {See why} unsent {See the log} overdue {{ready, select, yes {Start run} plan {Make the sheet} other {See why}}} due {{ready, select, yes {Start run} plan {Make the sheet} other {See why}}} stale {Test machine} look {Look again} short {See the order} other {Renew it}}',
  'today.planned':
    '{product}{site, select, none {} other { on {site}}}{hold, select, none {} weather { (weather)} look { (look first)} other {}}{why, select, none {} other { ({why})}}',
  'today.all': 'all of them',
} as const;
