/** What is said of who spreads. */
export const people = {
  'people.heading': 'People',
  'people.teach':
    'Nobody is noted yet. Whoever needs a license to spread is noted here once: name and license stand on each record then.',
  'people.name': 'Name',
  'people.name.hint': 'R. Fenn',
  'people.license': 'License',
  'people.until': 'License holds until',
  'people.license.is':
    '{state, select, none {No license} other {{license}{until, select, none {} other {, {state, select, ended {ended} other {until}} {until}}}}}{state, select, soon {: renew it soon} other {}}',
  'people.license.short':
    'License {license}{state, select, ended { ended on {until}: it is noted on the record} soon { ends on {until}} other {}}',
  'people.step': 'step length',
  'people.step.is':
    'Step length {step, select, none {is not measured: the beat of a run asks for it} other {{step}}}',
  'people.notes': 'Notes',
} as const;
