/** The card that hangs on the machine. */
export const card = {
  'card.grain': 'grain {text}',
  'card.lot': 'lot {text}',
  'card.pace': '{course} in {time}',
  'card.second': '{control} at {mark}',
  'card.spacing':
    '{width} {over, select, hopper {wide} passes {between passes} rows {between rows} other {of row}}',
} as const;
