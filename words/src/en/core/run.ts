/** What stands against a run sheet. */
export const run = {
  'run.lacks.unread':
    '{count, plural, one {One field} other {# fields}} of the sheet cannot be read: correct {count, plural, one {it} other {them}} first.',
  'run.lacks.need': 'There is no rate yet: type what is needed and the product.',
  'run.lacks.ground': 'There is no ground yet: add an area with its size.',
  'run.lacks.spacing': 'The pass spacing is not known: type it at Width, or choose a machine.',
  'run.lacks.unsized':
    '{count, plural, one {One area has} other {# areas have}} no size and will get nothing.',
  'run.lacks.machine': 'No machine is chosen, so nobody knows what to set.',
  'run.lacks.chart': 'No chart yet: test the machine first.',
  'run.lacks.hopper': 'Nobody said what the hopper or tank holds, so fills cannot be planned.',
  'run.stale': 'The chart is stale: {reasons}. The rate may be off; run a check test first.',
  'run.drift':
    'By its last weighed runs the machine spreads {percent} % of what is meant: it drifts {side, select, heavy {heavy} other {light}}. Run a check test first.',
  'run.otherProduct':
    'The chart was made with another product, which runs out differently: test this one first.',
  'run.otherSpacing':
    'The chart is for another pass spacing: passed like this, the ground gets {times} times the rate. Pass as the chart says, or work it out for this spacing.',
  'run.beyond':
    'The rate lies {side, select, below {below} other {above}} everything that was tested, so the setting is a guess. Test nearer to it.',
  'run.halfRate':
    'Two directions need half the rate each, and the chart was made for the full rate only: the setting is a guess. Test at half the rate.',
  'run.rule': 'Rule broken: {rule}.',
  'run.noPlan': '{name}: {why}',
  'run.unreached':
    '{name}: {percent} % of it is too narrow for the trim pass and gets nothing. Do it by hand, or plan without trims.',
  'run.overlaps':
    '{name}: passes end square, so they spread {percent} % {side, select, more {more} other {less}} than the field asks. Turn the passes, or add a trim.',
} as const;
