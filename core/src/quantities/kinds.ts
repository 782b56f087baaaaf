/** What can be measured, with the words for it and an example of how it is typed. SI inside: see each line. */
export const KINDS = {
  mass: { si: 'kg', words: 'a weight', example: '3 lb 4 oz' },
  length: { si: 'm', words: 'a length', example: '62 ft' },
  area: { si: 'm2', words: 'an area', example: '690 m2' },
  volume: { si: 'L', words: 'a volume', example: '2 gal' },
  time: { si: 's', words: 'a time', example: '29 s' },
  massPerArea: { si: 'kg/m2', words: 'a weight per area', example: '0.8 lb/1000 ft2' },
  volumePerArea: { si: 'L/m2', words: 'a volume per area', example: '2 gal/1000 ft2' },
  massPerRowLength: { si: 'kg/m', words: 'a weight per length of row', example: '33 g/m of row' },
  massPerLaneLength: { si: 'kg/m', words: 'a weight per length of lane', example: '200 lb/lane-mile' },
  speed: { si: 'm/s', words: 'a speed', example: '3 mph' },
  density: { si: 'kg/L', words: 'a density', example: '1.28 kg/L' },
  pressure: { si: 'Pa', words: 'a pressure', example: '40 psi' },
  temperature: { si: 'degC', words: 'a temperature', example: '-5 degC' },
} as const;

/** A kind of quantity. */
export type Kind = keyof typeof KINDS;
