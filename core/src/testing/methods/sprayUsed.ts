import { message } from '../../messages/message.ts';
import type { Method } from './method.ts';
import { runOut } from './runOut.ts';

/** What was sprayed on ground of known size, by what is gone from the tank, the bottle or the can. */
export const sprayUsedMethod: Method = {
  how: message('methods.spray-used.how'),
  needs: ['jugs', 'knownGround'],
  planned: 'ground',
  isWet: true,
  steps: {
    before: message('methods.spray-used.before'),
    walk: message('methods.spray-used.walk'),
    after: message('methods.spray-used.after'),
    called: { before: message('methods.moment.fill'), course: message('methods.moment.ground'), after: message('methods.moment.left') },
  },
  fields: () => [
    { id: 'load', label: message('readings.filled'), kind: 'volume', placeholder: '10 L', at: 'before' },
    { id: 'area', label: message('readings.areaCovered'), kind: 'area', placeholder: '900 ft2', at: 'course' },
    { id: 'left', label: message('readings.volumeLeft'), kind: 'volume', placeholder: '1.5 L', at: 'after', mayBeNone: true },
  ],
  work({ load, left, area }, { width, runWidthM }) {
    const { sources, ...run } = runOut({ loadSi: load!, leftSi: left!, areaM2: area! });
    const outputPerM = run.rateSi * runWidthM;
    return {
      ...run,
      sources: sources.map(({ of, u }) => ({ of: of === 'weighing' ? 'volume' : of, u })),
      outputPerM,
      rateSi: outputPerM / width.si,
      outlets: null,
    };
  },
  line: ({ volume, area, open, close, less, over, otherSpacing }) => [
    open,
    volume('load'),
    less,
    volume('left'),
    close,
    over,
    area('area'),
    ...otherSpacing(),
  ],
  suits: ({ tools }) => [tools.ground ? 6 : 3, message('methods.why.usedOnGround')],
}; // prettier-ignore
