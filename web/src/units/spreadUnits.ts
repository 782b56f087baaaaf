/** Units that what is spread is told in: its rate on the ground, its amount, and the ground. */
export function spreadUnits(isLiquid: boolean, isUs: boolean) {
  if (isLiquid) return isUs ? ({ rate: 'gal/1000 ft2', amount: 'gal', area: 'ft2' } as const) : ({ rate: 'L/100 m2', amount: 'L', area: 'm2' } as const);
  return isUs ? ({ rate: 'lb/1000 ft2', amount: 'lb', area: 'ft2' } as const) : ({ rate: 'g/m2', amount: 'kg', area: 'm2' } as const);
} // prettier-ignore
