/** What to mind at each act. */
export const cautions = {
  'cautions.label': 'Read the label first; gloves and eyes, and a mask where it dusts.',
  'cautions.labelWet': 'Read the label first; gloves, eyes and long sleeves.',
  'cautions.cleanWater': 'Test with clean water.',
  'cautions.splash': 'Goggles on: jugs splash, and a hose under pressure can let go.',
  'cautions.drift': 'Keep off water, drains and neighbors; stop where the wind carries it.',
  'cautions.pourBack': 'Pour what was caught back into the tank, never down a drain.',
  'cautions.lift': 'Lift a full bag with your knees, or in two halves.',
  'cautions.pesticideLabel': 'A pesticide carrier only as its label and your license allow.',
  'cautions.gateShut': 'Shut the gate before filling, on a floor that can be swept.',
  'cautions.lockOut': 'Lock out the drives before hands go near a meter.',
  'cautions.hands': 'Hands out of the hopper while anything can turn.',
  'cautions.keepOffWinter': 'Keep off water, drains and beds.',
  'cautions.keepOff': 'Keep off water, drains and pavement.',
  'cautions.keepPeopleOff': 'Keep people off the strip until it is swept.',
  'cautions.freshGround':
    'Use fresh ground for each test run: a strip spread twice gets double, and may burn in heat.',
  'cautions.keepChildrenOff': 'Keep children and animals off until the label allows.',
  'cautions.sweep': 'Sweep strays off pavement and put them back.',
  'cautions.stillPesticide': 'What was caught is still pesticide: it goes in its own marked container.',
} as const;
