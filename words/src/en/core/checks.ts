/** Rules and limits of labels, as they are named where something is held against them. */
export const checks = {
  'checks.leastDays': 'least days between two applications',
  'checks.times': 'most applications of a product in a year',
  'checks.closed': 'closed dates',
  'checks.rule.most-at-once': 'most {nutrient} at once',
  'checks.rule.most-in-a-year': 'most {nutrient} in a year',
  'checks.rule.quick-nitrogen': 'most quick nitrogen at once',
  'checks.rule.slow-share': 'least slow share of the nitrogen',
  'checks.soilTest':
    'phosphorus only with a soil test under {years, plural, one {# year} other {# years}} old',
  'checks.label.carrier': 'by the label: spray volume',
  'checks.label.interval': 'by the label: least days between two applications',
  'checks.label.atOnce': 'by the label: most at once',
  'checks.label.year': 'by the label: most in a year',
} as const;
