/** What can be measured, with an example of how it is typed. SI inside: see each line. */
export const KINDS = {
  mass: { si: 'kg', example: '3 lb 4 oz' },
  length: { si: 'm', example: '62 ft' },
  area: { si: 'm2', example: '690 m2' },
  volume: { si: 'L', example: '2 gal' },
  time: { si: 's', example: '29 s' },
  massPerArea: { si: 'kg/m2', example: '0.8 lb/1000 ft2' },
  volumePerArea: { si: 'L/m2', example: '2 gal/1000 ft2' },
  massPerRowLength: { si: 'kg/m', example: '33 g/m of row' },
  massPerLaneLength: { si: 'kg/m', example: '200 lb/lane-mile' },
  volumePerLaneLength: { si: 'L/m', example: '40 gal/lane-mile' },
  volumePerMass: { si: 'L/kg', example: '10 gal/ton' },
  speed: { si: 'm/s', example: '3 mph' },
  density: { si: 'kg/L', example: '1.28 kg/L' },
  pressure: { si: 'Pa', example: '40 psi' },
  flow: { si: 'L/s', example: '0.4 gal/min' },
  volumePerVolume: { si: 'L/L', example: '2 fl oz/gal' },
  temperature: { si: 'degC', example: '-5 degC' },
} as const;

/** A kind of quantity. */
export type Kind = keyof typeof KINDS;
