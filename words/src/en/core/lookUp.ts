/** A rate looked up in a chart. */
export const lookUp = {
  'lookUp.mark': '{rate}, {side, select, none {just that} over {{percent} % over} other {{percent} % under}}',
  'lookUp.rate':
    '{found}.{beyond, select, no {} other { That rate lies {beyond} what was tested: run it there before trusting this.}}',
  'lookUp.mismatch':
    'Worked out for passes {worked} apart and passed {passed} apart, this will deliver {times} times the rate.',
} as const;
