import { finite, requirePositive } from '../../errors/preconditions.ts';
import { message } from '../../messages/message.ts';
import { combined, netOf, relative, relativeNet } from '../uncertainty.ts';
import { mass, no, PASSES, tare, type Method } from './method.ts';

/** Ground that was taped off is covered evenly, up and down, and all of it is swept up. */
export const sweepTapedMethod: Method = {
  how: message('methods.taped.how'),
  needs: ['smallScale', 'tape', 'container', 'knownGround'],
  planned: 'ground',
  steps: {
    before: message('methods.taped.before'),
    walk: message('methods.taped.walk'),
    after: message('methods.taped.after'),
    called: { course: message('methods.moment.ground') },
  },
  fields: () => [
    tare(message('readings.emptyContainer')),
    {
      id: 'area',
      label: message('readings.tapedArea'),
      kind: 'area',
      placeholder: `24' 0" x 12' 0"`,
      at: 'course',
    },
    { ...PASSES, label: message('readings.timesCovered') },
    mass('gross', message('readings.fullContainer'), '1.92 kg', 'after'),
  ],
  work({ gross, tare: empty, area, passes }, { width, runWidthM }) {
    const net = netOf(gross!, empty!, 'tare');
    const times = passes?.si ?? 1;
    requirePositive({ area: area!.si, times });
    const sources = [
      { of: 'weighing', u: relativeNet(net) },
      { of: 'area', u: relative(area!) },
    ] as const;
    const outputPerM = finite((net.si / (area!.si * times)) * runWidthM);
    return { outputPerM, rateSi: finite(outputPerM / width.si), uReadings: combined(sources), sources, netSi: net.si, outlets: null }; // prettier-ignore
  },
  line: ({ net, over, area, timesOver, otherSpacing }) => [
    ...net('gross', 'tare'),
    over,
    area('area'),
    ...timesOver(),
    ...otherSpacing(),
  ],
  suits({ tools, isPesticide }) {
    if (tools.scale === 'none') return no(message('methods.why.scaleCaught'));
    if (isPesticide) return no(message('methods.why.pesticide'));
    if (!tools.floor) return no(message('methods.why.floor'));
    return [tools.wind ? 2 : 3, message('methods.why.taped')];
  },
};
