import { message } from '../../messages/message.ts';
import { rigKind } from '../../machines/kinds.ts';
import { CAUGHT_OVER_STRIP } from './caught.ts';
import { LENGTH, mass, no, PASSES, tare, WALK_TIME, WALKED, type Method } from './method.ts';

/** A tray under the hopper catches all of it. */
export const trayMethod: Method = {
  ...CAUGHT_OVER_STRIP,
  how: message('methods.tray.how'),
  needs: ['smallScale', 'tray', 'tape'],
  planned: 'strip',
  steps: {
    before: message('methods.tray.before'),
    walk: WALKED,
    after: message('methods.tray.after'),
  },
  fields: () => [
    tare(message('readings.emptyTray')),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('gross', message('readings.fullTray'), '1.92 kg', 'after'),
  ],
  suits({ kind, tools }) {
    if (rigKind(kind).width !== 'hopper') return no(message('methods.why.dropOnly'));
    if (!tools.tray) return no(message('methods.why.tray'));
    if (tools.scale === 'none') return no(message('methods.why.scaleTray'));
    return [8, message('methods.why.catchesAll')];
  },
};
