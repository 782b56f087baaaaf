import { Box } from '@chakra-ui/react';
import { showExact, showQuantity, type UnitId } from '@steady-scatter/core/quantities';
import type { TankPart, TankSheet } from '@steady-scatter/core/worksheet';
import { say } from '@steady-scatter/words/sheet';
import { WarningBox } from '../ui/WarningBox.tsx';
import { useSheet } from '../sheet/sheet.tsx';
import { amountText } from './amounts.ts';

interface Props {
  tank: TankSheet;
  volume: UnitId;
}

/** Degrees that water cools by, in the unit that its temperature is typed in. */
const coolsText = (celsius: number, unit: 'degC' | 'degF'): string =>
  `${showExact(unit === 'degF' ? celsius * 1.8 : celsius, 2)} ${unit === 'degF' ? '°F' : '°C'}`;

/** One dry product: the least water it takes, or why this tank cannot hold it and what would. */
function Product({ part, tank, volume }: Props & { part: TankPart }) {
  const { waterUnit } = useSheet().worksheet.tank;
  const { carrier } = useSheet().worksheet;
  if (part.form === 'liquid') return null;
  const { name, dissolved } = part;
  if (!dissolved) return <Box fontSize="16px" marginTop="8px">{say('sheet.tank.unknown', { name })}</Box>; // prettier-ignore
  const water = showQuantity(tank.waterC, waterUnit, 2);
  const least = amountText(dissolved.leastWaterL, volume);
  const at = `${water.number} ${water.unit}`;
  if (dissolved.fits)
    return (
      <Box fontSize="16px" marginTop="8px">
        {say('sheet.tank.dissolves', { name, least, at, cools: dissolved.coolsByC === null ? 'none' : coolsText(dissolved.coolsByC, waterUnit) })}
      </Box>
    ); // prettier-ignore
  const fill = tank.plan?.full ?? tank.plan?.last;
  const more = (dissolved.leastWaterL / (fill?.waterL ?? 1)) * (tank.mixLPerM2 ?? 0);
  const { number, unit } = showQuantity(more * 1.05, carrier.unit, 2);
  return <WarningBox marginTop="10px">{say('sheet.tank.tooMuch', { name, least, at, volume: `${number} ${unit}` })}</WarningBox>;
} // prettier-ignore

/** Whether what is dry goes into solution. */
export function Dissolving({ tank, volume }: Props) {
  const dry = tank.parts.filter(({ form }) => form === 'dry');
  return (
    <>
      {dry.map((part) => (
        <Product key={part.id} part={part} tank={tank} volume={volume} />
      ))}
      {dry.length > 1 && (
        <Box fontSize="16px" marginTop="6px">
          {say('sheet.tank.together')}
        </Box>
      )}
    </>
  );
}
