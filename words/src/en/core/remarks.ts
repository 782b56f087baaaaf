/** What a run says beside its rate. */
export const remarks = {
  'remarks.noFlow': 'Nothing came out: first flow lies above this mark.',
  'remarks.out': '{grams} g out on each meter traveled.',
  'remarks.outAgainst':
    '{grams} g out on each meter traveled, {off} what is wanted{atPace, select, yes { at working pace} other {}}.',
  'remarks.off': '{side, select, none {just} over {{percent} % over} other {{percent} % under}}',
  'remarks.pace':
    'It was walked at {walked}, and {work} is the working pace{alike, select, yes {. Its wheels meter alike at both} other {: that alone makes it {off}}}.{apart, select, yes { More than {most} % apart, so it does not count: walk it again at working pace, or take this pace as the working pace.} other {}}',
  'remarks.against': '{off} the target{atPace, select, yes { at working pace} other {}}.',
  'remarks.pressure':
    'The nozzle is not made for that pressure: {side, select, high {the drops are finer and drift} other {the pattern may not close}}.',
  'remarks.outlets':
    'Outlets gave {weights} {unit}: {percent} % apart.{wide, select, yes { Look for a blocked or worn one.} other {}}',
  'remarks.spacing':
    'It was run for passes {run} apart: here it is worked out for {now}, {times} times the rate.',
  'remarks.against.noFlow': 'no flow',
  'remarks.against.otherPace': 'another pace',
  'remarks.against.right': 'right on',
  'remarks.against.heavy': '{percent} % heavy',
  'remarks.against.light': '{percent} % light',
} as const;
