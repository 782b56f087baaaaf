/** Parts of an area, and what its size is worth. */
export const ground = {
  'ground.boundary': 'boundary',
  'ground.paces': 'paces',
  'ground.manyLengths': '{shape}, {count} lengths in {unit}',
  'ground.lengths': '{listed} {unit}',
  'ground.shapeOf': '{shape} {size}',
  'ground.measured': '{part}, {how}',
  'ground.fromFile': 'from a file',
  'ground.advice.wrong':
    '{count, plural, one {One entry} other {# entries}} cannot be used yet; the sentence under it says why.',
  'ground.advice.first': 'Call out the first part, for example 62 x 38.',
  'ground.advice.notTreated': 'This area is not treated; it is left out of the site’s total.',
  'ground.advice.buffers': 'What buffers hold back is taken off.',
  'ground.advice.band': 'Every amount worked out on it carries the same ±.',
  'ground.advice.boundaryBand': 'Say how far the boundary may be off, and every amount will carry it.',
  'ground.advice.wide':
    'It may be off by {percent} %, and so may every amount on it. A tape would tell it better.',
} as const;
