import { message } from '../../messages/message.ts';
import { finite, requirePositive } from '../../errors/preconditions.ts';
import { combined, relative, relativeNet, type Reading, type UncertaintySource } from '../uncertainty.ts';
import { rigKind } from '../../machines/kinds.ts';
import { LENGTH, mass, no, tare, WALK_TIME, type Method } from './method.ts';
import { apartOf, catchesOf, imbalanceOf, netsOf, perOutlet, sumOfNets, type Catch } from './outlets.ts';

/** Catches under the outlets of a row distributor over a length driven. */
export interface RowOutlets {
  /** One for each outlet, or one bucket for all of them. */
  readonly catches: readonly Catch[];
  readonly lengthM: Reading;
  /** Rows that the outlets feed at once: 1 where all feed one row, else as many as outlets. */
  readonly rows: number;
  /** Length of row on each m2, 1/m: one over the row spacing, or one's own figure. */
  readonly rowMPerM2: number;
}

export interface RowOutletsResult {
  readonly rateSi: number;
  /** On each metre of a row, kg/m. */
  readonly outputPerM: number;
  readonly uReadings: number;
  readonly sources: readonly UncertaintySource[];
  /** (max - min) / mean of the outlets; 0 for a single catch, or where nothing came out. */
  readonly imbalance: number;
  readonly netSi: number;
}

/**
 * Row outlets: `sum / (length x rows fed) x row length per area`. Both outlets of a machine that feeds two rows caught in one bucket
 * come to the same rate as caught apart.
 *
 * @throws InputError test.nothing-out
 * @example rowOutlets({ catches: [1.84, 2.02].map((kg) => ({ grossKg: read(kg), tareKg: read(0) })), lengthM: read(30), rows: 1, rowMPerM2: 0.66 }) // { rateSi: 0.08492, imbalance: 0.0933 }
 */
export function rowOutlets({ catches, lengthM, rows, rowMPerM2 }: RowOutlets): RowOutletsResult {
  requirePositive({ length: lengthM.si, rows, rowMPerM2 });
  const nets = netsOf(catches);
  const net = sumOfNets(nets);
  const outputPerM = finite(net.si / rows / lengthM.si);
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'length', u: relative(lengthM) },
  ];
  return {
    rateSi: finite(outputPerM * rowMPerM2),
    outputPerM,
    uReadings: combined(sources),
    sources,
    imbalance: imbalanceOf(nets.map(({ si }) => si)),
    netSi: net.si,
  };
}

/** A bag under each outlet of a machine that feeds rows. */
export const rowOutletsMethod: Method = {
  how: message('methods.outlets.how'),
  needs: ['smallScale', 'bags', 'tape'],
  planned: 'strip',
  steps: {
    before: message('methods.outlets.before'),
    walk: message('methods.outlets.walk'),
    after: message('methods.outlets.after'),
  },
  fields: (outlets) => [
    ...perOutlet(tare(message('readings.emptyBag')), outlets),
    LENGTH,
    WALK_TIME,
    ...perOutlet(mass('gross', message('readings.fullBag'), '1.84 kg', 'after'), outlets),
  ],
  isWhole: (readings, outlets) => catchesOf(readings, outlets) !== null,
  work(readings, { width, outlets, rows }) {
    const catches = catchesOf(readings, outlets)!;
    const row = rowOutlets({ catches, lengthM: readings['length']!, rows, rowMPerM2: 1 / width.si });
    const sources: UncertaintySource[] = [...row.sources, { of: 'width', u: relative(width) }];
    return { ...row, uReadings: combined(sources), sources, outlets: apartOf(catches) };
  },
  line: ({ nets, ground }) => [...nets(), ...ground('length')],
  suits({ kind, tools }) {
    if (rigKind(kind).width !== 'rows') return no(message('methods.why.rowOutletsOnly'));
    if (tools.scale === 'none') return no(message('methods.why.scaleOutlets'));
    return [8, message('methods.why.eachOutlet')];
  },
};
