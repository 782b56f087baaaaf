import { Box } from '@chakra-ui/react';
import type { UnitId } from '@steady-scatter/core/quantities';
import type { TankSheet } from '@steady-scatter/core/worksheet';
import { list, say } from '@steady-scatter/words/sheet';
import { amountText } from './amounts.ts';

/** In which order a tank is mixed: part of the water, what is dry and dissolved, the liquids, water up to the mark, agitate. */
export function MixingOrder({ tank, volume }: { tank: TankSheet; volume: UnitId }) {
  const fill = tank.plan?.full ?? tank.plan?.last;
  if (!fill) return null;
  const named = (form: 'dry' | 'liquid') => tank.parts.filter((part) => part.form === form).map(({ name }) => name); // prettier-ignore
  const [dry, liquid] = [named('dry'), named('liquid')];
  const least = Math.max(0, ...tank.parts.map(({ dissolved }) => dissolved?.leastWaterL ?? 0));
  const first = Math.max(fill.mixL / 2, Math.min(least, fill.waterL));
  const steps = [
    say('sheet.tank.stepWater', { water: amountText(first, volume) }),
    ...(dry.length > 0 ? [say('sheet.tank.stepDry', { names: list(dry) })] : []),
    ...(liquid.length > 0 ? [say('sheet.tank.stepLiquid', { names: list(liquid) })] : []),
    say('sheet.tank.stepTop', { mix: amountText(fill.mixL, volume) }),
    say('sheet.tank.stepAgitate'),
  ];
  return (
    <Box marginTop="14px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('sheet.tank.order')}
      </Box>
      <Box as="ol" listStyleType="decimal" paddingLeft="26px" fontSize="17px">
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Box>
    </Box>
  );
}
