/** What makes a run say too little. */
export const coarse = {
  'coarse.by.length': 'The length is coarse: measure it finer, or take a longer one.',
  'coarse.by.volume': 'The jug reads too coarsely for this catch: catch for longer, or use a finer jug.',
  'coarse.by.width': 'The width is coarse: measure it finer.',
  'coarse.by.area': 'The size of the ground is coarse: measure it finer, or take more ground.',
  'coarse.by.time': 'The watch is coarse: time it finer, or catch for longer.',
  'coarse.by.pace': 'It was walked at another pace than the work: walk it at working pace.',
  'coarse.by.timing': 'The pace was timed too few times: time the course three times.',
  'coarse.ruled': '{why} Until then this test run cannot tell {low} from {high}.',
  'coarse.weighing':
    'The scale reads to {step} and you weighed {net}: this test run cannot tell {low} from {high}. Catch at least {least}: a longer strip, or more passes on fresh ground.',
  'coarse.taped':
    'The scale reads to {step} and you weighed {net}: this test run cannot tell {low} from {high}. Catch at least {least}: tape off {area}, or cover the same ground {times, plural, one {once} other {# times}}.',
} as const;
