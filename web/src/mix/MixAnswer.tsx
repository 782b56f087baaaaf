import { Box, Button, chakra } from '@chakra-ui/react';
import {
  leftOutReason,
  missReason,
  mixLines,
  searchNotes,
  type Mix,
  type MixAnswer,
  type MixLines,
} from '@steady-scatter/core/mix';
import { showExact, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import type { ProductInput } from '@steady-scatter/core/products';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/shelf';
import { BigNumber } from '../ui/BigNumber.tsx';
import { useFigures } from '../ui/currency.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { DeliveryBar } from './DeliveryBar.tsx';

const HEADINGS = {
  met: say('shelf.mix.met'),
  nearly: say('shelf.mix.nearly'),
  nothing: say('shelf.mix.nothing'),
} as const;

interface Props {
  answer: MixAnswer;
  unit: MassPerAreaUnit;
  areaM2: number | null;
  tolerance: number;
  productOf(id: string): ProductInput | undefined;
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

/** The mixes to choose from, fewest products first, with what each further one saves. */
function Options({
  options,
  chosen,
  onChoose,
}: {
  options: readonly Mix[];
  chosen: number;
  onChoose(at: number): void;
}) {
  if (options.length < 2) return null;
  return (
    <Box role="group" aria-label={say('shelf.mix.countOf')} display="flex" flexWrap="wrap" gap="8px" marginBottom="12px">
      {options.map((mix, index) => {
        const dearer = options[index - 1];
        const saves = dearer ? say('shelf.mix.saves', { percent: showExact((1 - mix.centsPerM2 / dearer.centsPerM2) * 100, 2) }) : '';
        return (
          <Button key={mix.parts.length} minHeight="44px" aria-pressed={index === chosen} variant={index === chosen ? 'solid' : 'outline'} onClick={() => onChoose(index)}>
            {mix.parts.length === 1 ? say('shelf.mix.one') : say('shelf.mix.many', { count: mix.parts.length })}
            {saves}
          </Button>
        );
      })}
    </Box>
  ); // prettier-ignore
}

/** The mix that was found: what it costs, what it is made of, how each need stands, and what stands in the way. */
export function MixAnswer({ answer, unit, areaM2, tolerance, productOf, onPutOnJobs }: Props) {
  const { options, misses, outcome, leftOut } = answer;
  const figures = useFigures();
  const [picked, setPicked] = useState<number | null>(null);
  // The cheapest stands there until another is picked.
  const chosen = Math.min(picked ?? options.length - 1, options.length - 1);
  const best = options[chosen] ?? null;
  const context = { unit, areaM2, productOf };
  const lines = best && mixLines(best, context);
  return (
    <>
      <Box fontSize="17px" fontWeight="bold" marginBottom="8px">
        {HEADINGS[outcome]}
      </Box>
      <Options options={options} chosen={chosen} onChoose={setPicked} />
      {lines && (
        <>
          <BigNumber
            number={figures(lines.inAll ?? lines.perArea)}
            unit={lines.inAll ? say('shelf.mix.inAll') : lines.perArea.unit}
            live
          />
          {lines.inAll && (
            <Box fontSize="16px" color="ink.soft" marginTop="4px">
              {figures(lines.perArea)} {lines.perArea.unit}
            </Box>
          )}
        </>
      )}
      {misses.map((miss) => (
        <Box key={miss.nutrient} color="warn" fontWeight="semibold" marginTop="8px">
          ▲ {speak(missReason(miss, unit))}
        </Box>
      ))}
      {lines && best && (
        <>
          <Box marginTop="14px">
            <Parts lines={lines} />
          </Box>
          <Button variant="solid" marginTop="12px" onClick={() => onPutOnJobs(lines)}>
            {lines.parts.length === 1
              ? say('shelf.mix.toJob')
              : say('shelf.mix.toJobs', { count: lines.parts.length })}
          </Button>
          <Box marginTop="18px">
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft" paddingBottom="4px">
              {say('shelf.mix.delivers')}
            </Box>
            {lines.deliveries
              .filter(({ delivery }) => delivery.need.kgPerM2 > 0 || delivery.kgPerM2 > 0)
              .map((line) => (
                <DeliveryBar key={line.delivery.nutrient} line={line} tolerance={tolerance} />
              ))}
          </Box>
        </>
      )}
      {searchNotes(answer)
        .map(speak)
        .map((note) => (
          <Box key={note} marginTop="10px" color="ink.soft">
            {note}
          </Box>
        ))}
      {leftOut.length > 0 && (
        <chakra.details marginTop="8px" color="ink.soft" fontSize="15px">
          <chakra.summary cursor="pointer" minHeight="44px" display="list-item" paddingTop="10px">
            {say('shelf.mix.leftOut', { count: leftOut.length })}
          </chakra.summary>
          {leftOut.map(({ id, name, reason }) => (
            <Box key={id}>{speak(leftOutReason(name, reason))}</Box>
          ))}
        </chakra.details>
      )}
    </>
  );
}
