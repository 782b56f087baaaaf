/** What is said of the weather and the ground that something may not go out in. */
export const limits = {
  'limits.name': 'weather limits',
  'limits.none': 'No limits of wind, rain or ground are noted',
  'limits.wind': 'Wind at most',
  'limits.wind.unit': 'Unit of the wind',
  'limits.wind.is': 'Wind at most {most}',
  'limits.rain': 'Hours without rain after it',
  'limits.rain.is': 'dry for {hours} h after it',
  'limits.low': 'Air at least',
  'limits.low.is': 'air at least {low}',
  'limits.high': 'Air at most',
  'limits.high.is': 'air at most {high}',
  'limits.air.unit': 'Unit of the air',
  'limits.notOn': 'Not on ground that is',
  'limits.notOn.is': 'not on {states} ground',
  'limits.ground': '{state, select, dry {dry} moist {moist} soaked {soaked} other {frozen}}',
} as const;
