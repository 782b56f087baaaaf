import { message } from '../../messages/message.ts';
import { rigKind } from '../../machines/kinds.ts';
import { CAUGHT_OVER_STRIP } from './caught.ts';
import { LENGTH, mass, no, PASSES, tare, WALK_TIME, WALKED, type Method } from './method.ts';

/** All that falls over a strip is swept up, or caught on a tarp. */
export const sweepUpMethod: Method = {
  ...CAUGHT_OVER_STRIP,
  how: message('methods.catch.how'),
  needs: ['smallScale', 'tarp', 'container', 'tape'],
  planned: 'strip',
  steps: {
    before: message('methods.catch.before'),
    walk: WALKED,
    after: message('methods.catch.after'),
  },
  fields: () => [
    tare(message('readings.emptyContainer')),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('gross', message('readings.fullContainer'), '1.92 kg', 'after'),
  ],
  suits({ kind, tools, isPesticide }) {
    const drops = rigKind(kind).width === 'hopper';
    if (tools.scale === 'none') return no(message('methods.why.scaleCaught'));
    if (isPesticide && !tools.tarp) return no(message('methods.why.pesticide'));
    if (!tools.tarp && !tools.floor) return no(message('methods.why.tarp'));
    if (tools.wind && !drops) return no(message('methods.why.wind'));
    if (!drops && !tools.helper) return [3, message('methods.why.helper')];
    return [drops ? 7 : 4, message('methods.why.backIntoHopper')];
  },
};
