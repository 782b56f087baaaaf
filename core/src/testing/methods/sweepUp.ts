import { rigKind } from '../../machines/kinds.ts';
import { CAUGHT_OVER_STRIP } from './caught.ts';
import { LENGTH, mass, no, PASSES, tare, WALK_TIME, WALKED, type Method } from './method.ts';

/** All that falls over a strip is swept up, or caught on a tarp. */
export const sweepUpMethod: Method = {
  ...CAUGHT_OVER_STRIP,
  words: 'sweep up or catch on a tarp',
  how: 'Catch all that falls over a measured length, indoors or in no wind, and weigh the container empty and full.',
  needs: ['a small scale', 'a tarp or a smooth floor, a brush', 'a container', 'a tape'],
  planned: 'strip',
  steps: {
    before: 'Weigh the empty container. It is subtracted for you.',
    walk: WALKED,
    after: 'Sweep up all of it and weigh container and product.',
  },
  fields: () => [
    tare('Empty container'),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('gross', 'Full container', '1.92 kg', 'after'),
  ],
  suits({ kind, tools, isPesticide }) {
    const drops = rigKind(kind).width === 'hopper';
    if (tools.scale === 'none') return no('It takes a scale for what was caught.');
    if (isPesticide && !tools.tarp)
      return no('A pesticide carrier is never swept up off pavement. Use ground that may have it.');
    if (!tools.tarp && !tools.floor)
      return no('It takes a tarp under all that falls, or a smooth floor to sweep.');
    if (tools.wind && !drops)
      return no('Wind carries the throw off the tarp. Wait for still air, or go indoors.');
    if (!drops && !tools.helper)
      return [3, 'Nothing is spread on ground; a wide throw is easier to catch with a helper.'];
    return [drops ? 7 : 4, 'Nothing is spread on ground, and what was caught goes back into the hopper.'];
  },
};
