/** Units that what is spread is told in: its rate on the ground, and its amount. */
export function spreadUnits(isLiquid: boolean, isUs: boolean) {
  if (isLiquid) return isUs ? ({ rate: 'gal/1000 ft2', amount: 'gal' } as const) : ({ rate: 'L/100 m2', amount: 'L' } as const);
  return isUs ? ({ rate: 'lb/1000 ft2', amount: 'lb' } as const) : ({ rate: 'g/m2', amount: 'kg' } as const);
} // prettier-ignore
