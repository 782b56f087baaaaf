/** Mixes of products: why one is left out, what is missed and why. */
export const mix = {
  'mix.leftOut.no-analysis': '{name} has no grade on its label.',
  'mix.leftOut.no-density': '{name} is a liquid without a density.',
  'mix.leftOut.no-price': '{name} has no price or no package size.',
  'mix.leftOut.brings-unwanted': '{name} brings something that may not be applied at all.',
  'mix.alone': 'One product does it alone.',
  'mix.fewest': 'No mix of fewer than {count} products meets the needs.',
  'mix.cutOff':
    'Mixes of three were looked for among the most promising products only, so a cheaper one may exist. Tick fewer products to look at all of them.',
  'mix.bothForms': 'A mix of dry and liquid products would meet every need. They take different machines.',
  'mix.miss': '{nutrient} {standing, select, short {falls {amount} short} other {goes {amount} over}}. {why}',
  'mix.why.noneHoldsIt': 'No product that can be used holds it.',
  'mix.why.heldBack': 'In the way: {limits}.',
  'mix.why.notTogether': 'The products at hand do not go together.',
  'mix.limit.label': 'the label’s highest rate of {name}',
  'mix.limit.stock': 'the stock of {name}',
  'mix.limit.unwanted': 'that no {nutrient} is wanted',
  'mix.limit.quick': 'the limit on quick nitrogen',
  'mix.limit.slow': 'the least slow share of the nitrogen',
  'mix.limit.brings': 'what else its products bring, which may not be applied',
  'mix.limit.full': 'the need of {nutrient}, which is full',
  'mix.limit.own': 'your own limit on {nutrient}',
} as const;
