/** Walking at an even pace. */
export const practice = {
  'practice.walk': 'Walk the course and press at each end.',
  'practice.walkIn': 'Walk the course in {seconds} s. Press at each end.',
  'practice.walked':
    '{walks, plural, one {One walk} other {# walks}}: {mean} s on average{scatter, select, none {} other {, {apart} % apart}}.{side, select, none {} other { {percent} % {side}: aim for {aim} s.}}{scatter, select, none { Walk it twice more.} steady { Steady enough.} other { Not steady yet: count your steps aloud.}}',
  'practice.fill': 'One container serves {distance} of row. At working pace it has to fill in {seconds} s.',
} as const;
