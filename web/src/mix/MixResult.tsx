import { Box, Button, chakra } from '@chakra-ui/react';
import {
  compareInWords,
  LEFT_OUT_WORDS,
  missInWords,
  mixLines,
  NO_FEWER_WORDS,
  type MassPerAreaUnit,
  type Mix,
  type MixAnswer,
  type MixLines,
  type ProductTyped,
} from '@steady-scatter/core';
import { BigNumber } from '../ui/BigNumber.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { DeliveryBar } from './DeliveryBar.tsx';

const HEADINGS = {
  met: 'The cheapest mix that meets every need',
  nearly: 'No mix meets every need. This one comes nearest.',
  nothing: 'Nothing on the shelf helps with this',
} as const;

interface Props {
  answer: MixAnswer;
  unit: MassPerAreaUnit;
  areaM2: number | null;
  tolerance: number;
  productOf(id: string): ProductTyped | undefined;
  onPutOnJobs(lines: MixLines): void;
}

const Parts = ({ lines }: { lines: MixLines }) => (
  <chakra.ul listStyleType="none" padding={0} margin={0}>
    {lines.parts.map(({ id, name, working }) => (
      <chakra.li key={id} paddingY="7px" borderTopWidth="1px" borderColor="line">
        <b>{name}</b>
        <WorkingLine working={working} size="plain" />
      </chakra.li>
    ))}
  </chakra.ul>
);

function Fewer({ mix, lines, best }: { mix: Mix; lines: MixLines; best: Mix }) {
  const words = best.centsPerM2 > 0 ? compareInWords(mix.centsPerM2 / best.centsPerM2).words : 'as much';
  return (
    <chakra.details marginTop="16px">
      <chakra.summary
        cursor="pointer"
        fontWeight="bold"
        minHeight="44px"
        display="list-item"
        paddingTop="10px"
      >
        With {mix.parts.length === 1 ? 'one product' : `${mix.parts.length} products`} it costs {words}
      </chakra.summary>
      <Parts lines={lines} />
    </chakra.details>
  );
}

/** The mix that was found: what it costs, what it is made of, how each need stands, and what stands in the way. */
export function MixResult({ answer, unit, areaM2, tolerance, productOf, onPutOnJobs }: Props) {
  const { best, fewer, noFewer, misses, outcome, leftOut } = answer;
  const context = { unit, areaM2, productOf };
  const lines = best && mixLines(best, context);
  return (
    <>
      <Box fontSize="17px" fontWeight="bold" marginBottom="8px">
        {HEADINGS[outcome]}
      </Box>
      {lines && (
        <>
          <BigNumber
            number={(lines.inAll ?? lines.perArea).number}
            unit={(lines.inAll ?? lines.perArea).unit}
            live
          />
          {lines.inAll && (
            <Box fontSize="16px" color="ink.soft" marginTop="4px">
              {lines.perArea.number} {lines.perArea.unit}
            </Box>
          )}
        </>
      )}
      {misses.map((miss) => (
        <Box key={miss.nutrient} color="warn" fontWeight="semibold" marginTop="8px">
          ▲ {missInWords(miss, unit)}
        </Box>
      ))}
      {lines && best && (
        <>
          <Box marginTop="14px">
            <Parts lines={lines} />
          </Box>
          <Button variant="solid" marginTop="12px" onClick={() => onPutOnJobs(lines)}>
            {lines.parts.length === 1 ? 'Put it on a job' : `Put them on ${lines.parts.length} jobs`}
          </Button>
          <Box marginTop="18px">
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft" paddingBottom="4px">
              What it puts down
            </Box>
            {lines.deliveries
              .filter(({ delivery }) => delivery.need.kgPerM2 > 0 || delivery.kgPerM2 > 0)
              .map((line) => (
                <DeliveryBar key={line.delivery.nutrient} line={line} tolerance={tolerance} />
              ))}
          </Box>
          {fewer && <Fewer mix={fewer} lines={mixLines(fewer, context)} best={best} />}
          {noFewer && NO_FEWER_WORDS[noFewer] && (
            <Box marginTop="14px" color="ink.soft">
              {NO_FEWER_WORDS[noFewer]}
            </Box>
          )}
        </>
      )}
      {leftOut.length > 0 && (
        <chakra.details marginTop="8px" color="ink.soft" fontSize="15px">
          <chakra.summary cursor="pointer" minHeight="44px" display="list-item" paddingTop="10px">
            {leftOut.length} {leftOut.length === 1 ? 'product is' : 'products are'} left out
          </chakra.summary>
          {leftOut.map(({ id, name, reason }) => (
            <Box key={id}>
              {name} {LEFT_OUT_WORDS[reason]}.
            </Box>
          ))}
        </chakra.details>
      )}
    </>
  );
}
