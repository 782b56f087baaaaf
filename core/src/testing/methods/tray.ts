import { rigKind } from '../../machines/kinds.ts';
import { CAUGHT_OVER_STRIP } from './caught.ts';
import { LENGTH, mass, no, PASSES, tare, WALK_TIME, WALKED, type Method } from './method.ts';

/** A tray under the hopper catches all of it. */
export const trayMethod: Method = {
  ...CAUGHT_OVER_STRIP,
  words: 'a tray hung under the hopper',
  how: 'Hang the tray, push a measured length at working pace, and weigh the tray empty and full.',
  needs: ['a small scale', 'a tray with hooks', 'a tape'],
  planned: 'strip',
  steps: {
    before: 'Weigh the empty tray, then hang it.',
    walk: WALKED,
    after: 'Weigh tray and product. Pour it back.',
  },
  fields: () => [
    tare('Empty tray'),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('gross', 'Full tray', '1.92 kg', 'after'),
  ],
  suits({ kind, tools }) {
    if (rigKind(kind).width !== 'hopper')
      return no('Only a drop spreader has a hopper that a tray can hang under.');
    if (!tools.tray) return no('It takes a tray that hangs under the hopper.');
    if (tools.scale === 'none') return no('It takes a scale for what the tray caught.');
    return [8, 'The tray catches all of it, anywhere, in any wind.'];
  },
};
