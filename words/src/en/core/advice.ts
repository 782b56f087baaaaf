/** What to set next on the bench, and why. */
export const advice = {
  'advice.told': '{rate} ±{percent} from {runs, plural, one {one test run} other {# test runs}}',
  'advice.underLimit': 'under the limit',
  'advice.within': 'within {percent}',
  'advice.theRate': 'the rate',
  'advice.start':
    'Nothing is tested yet. Begin {from, select, low {low, not quite half way from first flow to fully open, since {harm, select, waste {too much is wasted and harms plants} label {too much breaks the label} burn {too much burns} other {too much does more harm than too little}}} middle {in the middle of the scale} label {where the label says, looked up for your pace} other {where the other product’s chart gives this rate}}.{lowered, select, yes { The rate is a limit: what you chose would begin higher.} other {}}',
  'advice.session':
    '{tested, plural, =0 {The first of {all} settings, one after the other.} other {{tested} of {all} settings tested{left, select, none {. Once more from the first: a second test run shows how much they scatter.} other {. This one is next.}}}}',
  'advice.no-flow': 'Nothing came out so far: first flow lies above. Half way from there to fully open.',
  'advice.shape':
    'The other product’s chart, scaled by your one test, points here. Test it.{ceiling, select, yes { The rate is a limit, so the mark at or below it is taken.} other {}}',
  'advice.proportion':
    'One setting is tested. In proportion it would be this mark. Gates are not proportional, so it is a guess.',
  'advice.curve':
    'The curve through your tests puts {rate} here. Test it.{ceiling, select, yes { The rate is a limit, so the mark at or below it is taken.} other {}}',
  'advice.beyond':
    'The rate lies beyond what was tested: a guess along the end of the curve.{ceiling, select, yes { The rate is a limit, so the mark at or below it is taken.} other {}}',
  'advice.beside':
    'The mark next to it only just fits. This one may be nearer: test it.{ceiling, select, yes { The rate is a limit, so the mark at or below it is taken.} other {}}',
  'advice.repeat':
    'Here it was {told}. Test it again: {runs, plural, one {one test run says} other {# test runs say}} too little{coarse, select, yes {, and the readings alone are coarse} other {}}.',
  'advice.usable': '{told}: {goal}. You can use it; another test run would settle it.',
  'advice.settled':
    '{told}: {goal}, and sure enough. {signed, select, yes {Signed off.} other {Sign it off.}}',
  'advice.no-mark-fits':
    '{told}: {percent} {side}. The marks on both sides were tested, and none fits.{ceiling, select, yes { The rate is a limit, so the mark at or below it is taken.} other {}}',
  'advice.all-over': '{told}. Even the lowest open mark delivers more than the limit.',
  'advice.nothing-flows':
    'Nothing came out, even fully open. Look for a bridge, a blocked gate or a wet product.',
  'advice.walk':
    'At {mark}, walk {by}: {pace} meets the rate.{hard, select, yes { That is hard to hold with this machine.} other {}} A rotary throws {by, select, faster {wider} other {narrower}} then: look at the width again.',
  'advice.walkBy':
    'At {mark}, walk {by}: {percent} {by} meets the rate.{hard, select, yes { That is hard to hold with this machine.} other {}} A rotary throws {by, select, faster {wider} other {narrower}} then: look at the width again.',
  'advice.pass':
    'At {mark}, pass {by, select, wider {farther apart} other {closer}}: {spacing} apart meets the rate, if the pattern stays even there.',
} as const;
