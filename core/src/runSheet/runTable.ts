import { message, type Speak } from '../messages/message.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS, type AreaUnit, type LengthUnit, type UnitId } from '../quantities/units.ts';
import type { AreaRun } from './areaRun.ts';
import type { OrderLine } from './seasonOrder.ts';
import type { RunSheet } from './runSheet.ts';

/** Units of the figures in a table. */
export interface TableUnits {
  readonly amount: UnitId;
  readonly area: AreaUnit;
  readonly length: LengthUnit;
}

const cell = (si: number | null, unit: UnitId): string =>
  si === null ? '' : showExact(fromSi(si, unit), 5).replace(/\s/g, '');

function rowsOf({ name, zones, plan, fills, time }: AreaRun, units: TableUnits): string[][] {
  return zones.map(({ zone, areaM2, amountSi, lengthM, setting }, index) => [
    name,
    zone,
    cell(areaM2, units.area),
    cell(amountSi, units.amount),
    setting?.mark ?? '',
    cell(plan.spacingM, units.length),
    showExact(plan.headingDeg, 4),
    String(plan.legs.filter((leg) => leg.zone === zone).length),
    cell(lengthM, units.length),
    index === 0 ? String(fills.length) : '',
    index === 0 && time ? showExact(time.seconds / 60, 3) : '',
  ]);
}

/**
 * A run sheet as rows of cells: each zone of each area with its amount, its setting and its passes.
 *
 * @example runTable({ areas: [] }, { amount: 'lb', area: 'ft2', length: 'ft' }, speak)[0]?.length // 11
 */
export function runTable({ areas }: Pick<RunSheet, 'areas'>, units: TableUnits, speak: Speak): string[][] {
  const heading = (id: string, unit?: UnitId) => speak(message(`csv.run.${id}`, unit ? { unit: UNITS[unit].symbol } : {})); // prettier-ignore
  return [
    [
      heading('area'),
      heading('zone'),
      heading('size', units.area),
      heading('amount', units.amount),
      heading('setting'),
      heading('spacing', units.length),
      heading('heading'),
      heading('passes'),
      heading('walked', units.length),
      heading('fills'),
      heading('minutes'),
    ],
    ...areas.flatMap((area) => rowsOf(area, units)),
  ];
}

/**
 * The order of a season as rows of cells.
 *
 * @param cost an amount of money as it is written
 * @example seasonOrderTable([], speak, (cents) => String(cents / 100)).length // 1
 */
export function seasonOrderTable(
  lines: readonly OrderLine[],
  speak: Speak,
  cost: (cents: number) => string,
): string[][] {
  const headings = [message('csv.order.product'), message('csv.order.needed'), message('csv.order.amountUnit'), message('csv.order.packages'), message('csv.order.stock'), message('csv.order.buy'), message('csv.order.cost')]; // prettier-ignore
  return [
    headings.map(speak),
    ...lines.map(({ product, amountSi, unit, order }) => [
      product,
      cell(amountSi, unit),
      UNITS[unit].symbol,
      order ? showExact(order.exact, 4) : '',
      order ? showExact(order.stock, 4) : '',
      order ? String(order.buy) : '',
      order?.costCents == null ? '' : cost(order.costCents),
    ]),
  ];
}
