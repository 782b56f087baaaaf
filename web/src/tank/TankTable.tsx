import { chakra } from '@chakra-ui/react';
import { systemOf, type UnitId } from '@steady-scatter/core/quantities';
import type { TankFill, TankPlan } from '@steady-scatter/core/wet';
import type { TankPart } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/sheet';
import { useCrew } from '../settings/CrewProvider.tsx';
import { amountText, inOwnMeasures, measuresOf } from './amounts.ts';

interface Props {
  plan: TankPlan;
  parts: readonly TankPart[];
  volume: UnitId;
}

const Cell = chakra('td', { base: { textAlign: 'right', paddingY: '8px', paddingLeft: '16px', fontVariantNumeric: 'tabular-nums', verticalAlign: 'top' } }); // prettier-ignore
const Name = chakra('th', { base: { textAlign: 'left', fontWeight: 'medium', paddingY: '8px', verticalAlign: 'top' } }); // prettier-ignore

/** A row of the table: what it is, and how much of it each kind of tank takes. */
interface Row {
  readonly name: string;
  readonly isStrong?: boolean;
  textOf(fill: TankFill): string;
  /** In the crew's own cups and jugs. */
  moreOf?(fill: TankFill): string;
}

function useRows({ parts, volume }: Omit<Props, 'plan'>): Row[] {
  const measures = measuresOf(useCrew().measures);
  const isUs = systemOf(volume) === 'us';
  return [
    { name: say('sheet.tank.ground'), textOf: ({ areaM2 }) => amountText(areaM2, isUs ? 'ft2' : 'm2', 4) },
    { name: say('sheet.tank.waterAlone'), textOf: ({ waterL }) => amountText(waterL, volume) },
    ...parts.map(({ name, form }, index): Row => ({
      name,
      isStrong: true,
      textOf: (fill) => amountText(fill.products[index]!.si, form === 'liquid' ? volume : isUs ? 'lb' : 'kg'),
      moreOf: (fill) => (form === 'liquid' ? inOwnMeasures(fill.products[index]!.si, measures) : ''),
    })),
    { name: say('sheet.tank.mix'), textOf: ({ mixL }) => amountText(mixL, volume) },
  ]; // prettier-ignore
}

/** Every tank of the job: full ones alike, and the last exactly. */
export function TankTable({ plan, parts, volume }: Props) {
  const rows = useRows({ parts, volume });
  const { full, last, fullTanks } = plan;
  const fills = [
    ...(full ? [{ heading: say('sheet.tank.full', { count: fullTanks }), fill: full }] : []),
    ...(last ? [{ heading: say(full ? 'sheet.tank.last' : 'sheet.tank.only'), fill: last }] : []),
  ];
  return (
    <chakra.table width="100%" maxWidth="620px" fontSize="17px" marginTop="12px">
      <caption style={{ position: 'absolute', clip: 'rect(0 0 0 0)' }}>{say('sheet.tank.table')}</caption>
      <thead>
        <tr>
          <td />
          {fills.map(({ heading }) => (
            <chakra.th key={heading} scope="col" textAlign="right" fontSize="15px" fontWeight="semibold" color="ink.soft" paddingLeft="16px">
              {heading}
            </chakra.th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, textOf, moreOf, isStrong }) => (
          <chakra.tr key={name} borderTopWidth="1px" borderColor="line">
            <Name scope="row">{name}</Name>
            {fills.map(({ heading, fill }) => (
              <Cell key={heading} fontWeight={isStrong ? 'bold' : 'normal'}>
                {textOf(fill)}
                {moreOf?.(fill) && <chakra.span display="block" fontSize="14px" fontWeight="normal" color="ink.soft">{moreOf(fill)}</chakra.span>}
              </Cell>
            ))}
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  ); // prettier-ignore
}
