/** Patterns of throw, spacings and what is wrong with them. */
export const pattern = {
  'pattern.trim':
    'With the deflector down it is a pattern for trim passes: one pass along the edge, nothing beside it.',
  'pattern.measure': 'Measure with a tape how far it hits on both sides together.',
  'pattern.half':
    'Half the throw apart each spot is hit from both sides. It evens out most patterns, and is what to do until trays were set out.',
  'pattern.full':
    'The full throw apart, each spot is hit once, thinly at the edges. Trays usually show that to be striped: set them out, or pass half as far.',
  'pattern.setOut': 'Set the trays out across the throw, pass over them, and type what each caught.',
  'pattern.none':
    'No spacing is even within {limit}. Look below what may be wrong with the pattern, and test again.',
  'pattern.widest':
    '{oneWay, select, yes {All one way} other {Back and forth}} it stays within {limit} up to {reach}. Nobody passes to the inch, so 5 % is left to each side.',
  'pattern.widestWith':
    '{oneWay, select, yes {All one way} other {Back and forth}} it stays within {limit} up to {reach}. Nobody passes to the inch, so 5 % is left to each side. {oneWay, select, yes {Back and forth} other {All one way}} it would be {other}.',
  'pattern.cv':
    'CV {cv}, {within, select, yes {within} other {beyond}} your limit of {limit}. From {least} to {most} of the mean, {middle} in the wheel track.',
  'pattern.sides': '{left} falls to the left, {right} to the right.',
  'pattern.twoDirections': 'In two directions, half the rate each, it would be CV {cv}.',
  'pattern.mean': 'The mean is {mean} g / m² for one pass at this spacing.',
  'pattern.level.over':
    'The trays caught {share} of what the machine delivers by weighing. More than all of it cannot be: check the size of the trays, the passes and the setting.',
  'pattern.level.right':
    'The trays caught {share} of what the machine delivers by weighing. That is as it should be.',
  'pattern.level.short':
    'The trays caught {share} of what the machine delivers by weighing. The rest bounced out or fell beyond the ends: the shape holds, the level is that of the weighing. Trays with a grid or a mat catch more.',
  'pattern.changed':
    'At this spacing CV was {cvBefore} before and is {cvNow} now; {leftBefore} fell to the left before, {leftNow} now.',
  'pattern.fault.hollow': 'The middle gets too little.',
  'pattern.try.rotary.hollow':
    'The impeller throws all of it outwards: slow it down, or lower the drop point; light product does this at high speed.',
  'pattern.try.drop.hollow': 'Look for a bridge or caked product in the middle of the hopper.',
  'pattern.fault.peaked': 'Too much falls in the middle.',
  'pattern.try.rotary.peaked':
    'The impeller is too slow or its blades are clogged, so product dribbles off it: walk faster, clean the blades, or speed it up.',
  'pattern.try.drop.peaked': 'Look for a bent gate in the middle of the hopper.',
  'pattern.fault.narrow': 'It does not throw as far as you pass.',
  'pattern.try.rotary.narrow':
    'Light or dusty product, a slow impeller or a slow pace: speed up, or pass closer.',
  'pattern.try.drop.narrow':
    'Pass with the wheel track beside the last one: a drop spreader only covers its hopper.',
  'pattern.fault.left-heavy': 'More falls to the left than to the right.',
  'pattern.try.rotary.left-heavy':
    'Usually the drop point: move it so that product lands later or earlier on the impeller, or look for a worn or clogged blade. A level machine first.',
  'pattern.try.drop.left-heavy':
    'A drop spreader skews when its gate stands at an angle or one side of the hopper is caked.',
  'pattern.fault.right-heavy': 'More falls to the right than to the left.',
  'pattern.try.rotary.right-heavy':
    'Usually the drop point: move it so that product lands later or earlier on the impeller, or look for a worn or clogged blade. A level machine first.',
  'pattern.try.drop.right-heavy':
    'A drop spreader skews when its gate stands at an angle or one side of the hopper is caked.',
} as const;
