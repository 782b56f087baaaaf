/** Why a chart is not fresh any more. */
export const fresh = {
  'fresh.winter': 'signed off before this winter: test it again for each de-icer',
  'fresh.drift':
    'weighed runs delivered {percent} % of what was meant: it drifts {side, select, heavy {heavy} other {light}}',
  'fresh.season': 'a season has passed',
  'fresh.days': 'tested {days} days ago',
  'fresh.service': 'serviced since: {what}',
  'fresh.nozzles': 'new nozzles were fitted since',
  'fresh.pace': 'the usual pace changed',
  'fresh.grain': 'the grain is {now} now, it was {was}',
  'fresh.lot': 'lot {now} is on the shelf now, tested was {was}',
  'fresh.spacing': 'the pass spacing changed',
} as const;
