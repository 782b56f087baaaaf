/** A test worked out before it is walked. */
export const plan = {
  'plan.strip':
    '{strips, plural, one {A strip of {length}} other {# fresh strips of {length} each}}: about {amount} goes out.',
  'plan.needsWidth': 'With the width known, the course for a round area is worked out here.',
  'plan.course': 'A course of {length} covers exactly {area}.',
  'plan.sprayCatch':
    '{nozzles, plural, one {Catch for {seconds} s: about {amount} if the rate is right.} other {Catch each nozzle for {seconds} s: about {amount} each if the rate is right.}}',
  'plan.catch': 'Catch for {seconds} s: about {amount}.',
  'plan.ground': 'Spread it on at least {area}.',
  'plan.overHopper':
    'Fill the hopper: two test runs and a reserve would be {amount}, more than it holds, so fill again in between.',
  'plan.load': 'Fill in about {amount}: two test runs, and as much again so that it feeds evenly.',
  'plan.good':
    'Two such test runs will be good to about ±{percent}: {good, select, tight {tight enough to settle it} usable {good enough to use; a third test run would settle it} other {still coarse}}.',
  'plan.needsRate':
    'Type the rate and the pass spacing, and the strip and the load are worked out before you walk.',
  'plan.needsStep':
    'Say what step your scale shows, and the strip and the load are worked out before you walk.',
} as const;
