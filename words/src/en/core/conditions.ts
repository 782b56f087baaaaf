/** What does not keep a limit of the label or of the crew. */
export const conditions = {
  'conditions.wind':
    '{now, select, none {Say the wind: {of, select, label {the label allows} other {your rules allow}} at most {limit}.} other {Wind {now}: {of, select, label {the label allows} other {your rules allow}} at most {limit}.}}',
  'conditions.rain':
    '{now, select, none {Say when rain is due: {of, select, label {the label wants} other {your rules want}} {limit} dry hours after it.} other {Rain in {now} h: {of, select, label {the label wants} other {your rules want}} {limit} dry hours after it.}}',
  'conditions.cold':
    '{now, select, none {Say the air temperature: {of, select, label {the label allows} other {your rules allow}} no less than {limit}.} other {Air {now}: {of, select, label {the label allows} other {your rules allow}} no less than {limit}.}}',
  'conditions.hot':
    '{now, select, none {Say the air temperature: {of, select, label {the label allows} other {your rules allow}} no more than {limit}.} other {Air {now}: {of, select, label {the label allows} other {your rules allow}} no more than {limit}. Wait for the evening, or for cooler days.}}',
  'conditions.ground':
    '{now, select, none {Say how the ground is: {of, select, label {the label does} other {your rules do}} not allow all of them.} other {The ground is {now, select, soaked {soaked} frozen {frozen} dry {dry} other {moist}}: {of, select, label {the label does} other {your rules do}} not allow it.}}',
} as const;
