import { Box, chakra } from '@chakra-ui/react';
import type { MixLines } from '@steady-scatter/core/mix';
import { say } from '@steady-scatter/words/shelf';
import { NUTRIENTS } from '@steady-scatter/core/need';
import { WorkingLine } from '../ui/WorkingLine.tsx';

const STANDING = {
  met: { words: say('shelf.need.met'), color: 'fine' },
  short: { words: say('shelf.need.short'), color: 'warn' },
  over: { words: say('shelf.need.over'), color: 'warn' },
  along: { words: '', color: 'ink.soft' },
} as const;

type Props = { line: MixLines['deliveries'][number]; tolerance: number };

/** What is put down of one nutrient against its need: a bar with the need and its tolerance drawn in, and the numbers. */
export function DeliveryBar({ line, tolerance }: Props) {
  const { delivery, working } = line;
  const { kgPerM2, need, standing } = delivery;
  const top = Math.max(kgPerM2, need.kgPerM2 * (1 + tolerance)) * 1.08;
  const at = (value: number) => `${top === 0 ? 0 : (value / top) * 100}%`;
  const { words, color } = STANDING[standing];
  return (
    <Box paddingY="8px" borderTopWidth="1px" borderColor="line">
      <Box display="flex" flexWrap="wrap" columnGap="12px" alignItems="baseline">
        <chakra.b minWidth="44px">{NUTRIENTS[delivery.nutrient].symbol}</chakra.b>
        <WorkingLine working={working} size="plain" />
        {words && (
          <chakra.span color={color} fontWeight="bold">
            <span aria-hidden>{standing === 'met' ? '✓ ' : '▲ '}</span>
            {words}
          </chakra.span>
        )}
      </Box>
      <Box position="relative" height="18px" bg="soft" borderRadius="3px" marginTop="4px" aria-hidden>
        <Box
          position="absolute"
          insetY="0"
          left="0"
          width={at(kgPerM2)}
          bg={standing === 'short' || standing === 'over' ? 'warn' : 'tape'}
          borderRadius="3px"
        />
        {need.kgPerM2 > 0 && (
          <>
            <Box
              position="absolute"
              insetY="-2px"
              left={at(need.kgPerM2)}
              width={at(need.kgPerM2 * tolerance)}
              borderInlineWidth="2px"
              borderStyle="dotted"
              borderColor="ink"
            />
            <Box position="absolute" insetY="-4px" left={at(need.kgPerM2)} width="3px" bg="ink" />
          </>
        )}
      </Box>
    </Box>
  );
}
