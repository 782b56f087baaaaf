import { message } from '../../messages/message.ts';
import { finite, requirePositive } from '../../errors/preconditions.ts';
import {
  combined,
  netOf,
  relative,
  relativeNet,
  type Reading,
  type UncertaintySource,
} from '../uncertainty.ts';

import { lessTare } from './course.ts';
import { mass, no, type Method } from './method.ts';

/** A weighed load, or a measured volume, put down on a known area. */
export interface RunOut {
  readonly loadSi: Reading;
  readonly leftSi: Reading;
  /** The ground it went on; where it ran out before the end, the ground that was covered. */
  readonly areaM2: Reading;
}

/**
 * Run-out: `(load - left) / area`. There is no output per metre in it until a pass spacing is known.
 *
 * @throws InputError test.nothing-out
 * @example runOut({ loadSi: read(9), leftSi: read(1.25), areaM2: read(900) }).rateSi // 0.008611
 */
export function runOut({ loadSi, leftSi, areaM2 }: RunOut): {
  rateSi: number;
  uReadings: number;
  sources: UncertaintySource[];
  netSi: number;
} {
  requirePositive({ area: areaM2.si });
  const net = netOf(loadSi, leftSi, 'left');
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'area', u: relative(areaM2) },
  ];
  return { rateSi: finite(net.si / areaM2.si), uReadings: combined(sources), sources, netSi: net.si };
}

/** A weighed load goes on ground of known size. */
export const runOutMethod: Method = {
  how: message('methods.run-out.how'),
  needs: ['knownLoad', 'knownGround'],
  planned: 'ground',
  steps: {
    before: message('methods.run-out.before'),
    walk: message('methods.run-out.walk'),
    after: message('methods.run-out.after'),
    called: { before: message('methods.moment.weighIn'), course: message('methods.moment.ground') },
  },
  fields: () => [
    mass('tare', message('readings.emptyContainer'), '1.2 lb', 'before', {
      optional: true,
      mayBeNone: true,
    }),
    mass('load', message('readings.load'), '9.0 lb', 'before'),
    {
      id: 'area',
      label: message('readings.areaCovered'),
      kind: 'area',
      placeholder: '900 ft2',
      at: 'course',
    },
    mass('left', message('readings.weightLeft'), '1.25 lb', 'after', { mayBeNone: true }),
  ],
  work({ load, left, area, tare: empty }, { width, runWidthM }) {
    // Nothing left was not weighed in the container.
    const leftSi = left!.si > 0 ? lessTare(left!, empty) : left!;
    const run = runOut({ loadSi: lessTare(load!, empty), leftSi, areaM2: area! });
    const outputPerM = run.rateSi * runWidthM;
    return { ...run, outputPerM, rateSi: outputPerM / width.si, outlets: null };
  },
  // A container that both were weighed in falls out; with nothing left it does not.
  line: ({ isTyped, isLeft, mass: weight, area, open, close, less, over, otherSpacing }) => [
    open,
    weight('load'),
    ...(isTyped('tare') && !isLeft ? [less, weight('tare')] : []),
    less,
    weight('left'),
    close,
    over,
    area('area'),
    ...otherSpacing(),
  ],
  suits({ tools }) {
    if (!tools.ground) return no(message('methods.why.knownGround'));
    return [tools.scale === 'none' ? 3 : 1, message('methods.why.noScaleLoad')];
  },
};
