/** What is said of winter: brine, and what it does on pavement. */
export const winter = {
  'winter.brine.title': 'Brine · Steady Scatter',
  'winter.brine.heading': 'Brine',
  'winter.brine.salt': 'Salt in it',
  'winter.brine.clear': 'Clear',
  'winter.brine.strength': 'How strong it is',
  'winter.brine.reading': 'Hydrometer shows',
  'winter.brine.marks': 'Hydrometer is marked in',
  'winter.brine.sample': 'Sample temperature',
  'winter.brine.freezes':
    '{freezes, select, none {Salt comes out of it before it freezes.} other {It freezes at {at}.}}',
  'winter.brine.byWeight': 'Salt by weight',
  'winter.brine.saltForTank': 'Salt for the tank',
  'winter.brine.saltOnGround': 'Salt on the ground',
  'winter.brine.sampleOff':
    'Bring the sample to {at} first: cold brine reads too strong, warm brine too weak.',
  'winter.brine.readFirst': 'Read the hydrometer, and the strength stands here.',
  'winter.brine.answer': '{part}: answer',
  'winter.brine.tank': 'The tank',
  'winter.brine.tankHolds': 'Tank holds',
  'winter.brine.wanted': 'Strength wanted, % by weight',
  'winter.brine.makeIt': 'For an empty tank, into {water} of water ({volume}).',
  'winter.brine.correct': 'The brine in it',
  'winter.brine.correctIt':
    '{how, select, salt {Add {amount} of salt, and stir until none lies at the bottom.} water {Add {amount} of water.} other {It is as strong as it should be.}}',
  'winter.brine.room': 'There has to be room for it: the tank is taken as full.',
  'winter.brine.tankFirst': 'Say what the tank holds, and salt and water stand here.',
  'winter.brine.pure': 'Salt is counted as pure and dry. Salt that is 95 % pure takes 1/0.95 as much.',
  'winter.brine.pavement': 'On pavement',
  'winter.brine.rate': 'Rate',
  'winter.brine.rateUnit': 'Rate unit',
  'winter.brine.lane': 'Lane width',
  'winter.brine.temperature': 'Pavement temperature',
  'winter.brine.onGround': 'In {brine} of brine.',
  'winter.brine.holds':
    '{how, select, thaws {Nothing freezes at {at}.} cold {This salt keeps nothing liquid at {at}. Use another one, or plow and grit.} freezes {Too weak: it freezes at {at} as it is.} other {At {at} it holds {water} of water more. More falls on it, and it refreezes.}}',
  'winter.brine.pavementFirst':
    'With a rate, the lane width and the pavement temperature, what it holds stands here.',
  'winter.brine.prewet': 'Pre-wetting',
  'winter.brine.load': 'Dry salt',
  'winter.brine.wetting': 'Brine on it',
  'winter.brine.brineForLoad': 'Brine for the load',
  'winter.brine.prewetSalt': '{salt} of salt comes with it, {share} % on top of the dry salt.',
  'winter.brine.prewetFirst':
    'With the dry salt and the brine on each ton, the brine for the load stands here.',
  'winter.brine.which':
    'Worked out with {from, select, tank {the brine that was read} other {the strength wanted}}.',
  'winter.brine.marksOf': '{marks, select, kg {kg/L} sixty {sp. gr. 60 °F} other {sp. gr. 20 °C}}',
  'winter.brine.saltOf': '{salt, select, calcium {calcium chloride} other {sodium chloride}}',
} as const;
