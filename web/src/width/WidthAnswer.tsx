import { Box, Button } from '@chakra-ui/react';
import {
  faultsOf,
  faultTexts,
  groundRemarks,
  meanLine,
  MISSING,
  recommendationText,
  showQuantity,
  type RigTyped,
} from '@steady-scatter/core';
import { lazy, Suspense, useState } from 'react';
import { BigNumber } from '../ui/BigNumber.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { Accept } from './Accept.tsx';
import { BeforeAndAfter } from './BeforeAndAfter.tsx';
import { Level } from './Level.tsx';
import { Look } from './Look.tsx';
import { Stripes } from './Stripes.tsx';
import { Sure } from './Sure.tsx';
import { lengthText, type WidthProps } from './widthProps.ts';

const UnevenChart = lazy(() => import('./UnevenChart.tsx'));

const Said = ({ lines }: { lines: readonly string[] }) =>
  lines.map((line) => (
    <Box key={line} fontSize="16px" marginTop="6px">
      {line}
    </Box>
  ));

/** The spacing to pass at and why, what comes of it on the ground, and what to change in the machine. */
export function WidthAnswer({ typed, on, rig, onChange }: WidthProps & { rig: RigTyped | null }) {
  const { reading, ground } = on;
  const { recommendedM, pattern, lookedM, sweeps } = reading;
  const shown = recommendedM === null ? null : showQuantity(recommendedM, typed.layout.unit, 3);
  const [isMore, setMore] = useState(false);
  const faults = pattern && sweeps ? faultTexts(faultsOf(pattern, recommendedM, null), rig?.kind ?? 'push-rotary') : []; // prettier-ignore
  const mean = lookedM === null ? null : meanLine(reading, lookedM, typed);
  return (
    <Box
      as="section"
      aria-label="Answer"
      bg="paper"
      borderWidth="1px"
      borderColor="line"
      borderRadius="12px"
      padding={{ base: '16px', md: '18px 22px' }}
    >
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {typed.deflector ? 'For trim passes' : 'Passes apart'}
      </Box>
      <BigNumber number={shown?.number ?? MISSING} unit={shown?.unit ?? ''} live />
      <Box fontSize="17px" marginTop="8px">
        {recommendationText(reading, typed)}
      </Box>
      {sweeps && <Sure typed={typed} on={on} />}
      <Accept typed={typed} on={on} onChange={onChange} />
      {sweeps && (
        <Box marginTop="14px">
          <Suspense fallback={<Box height="290px" />}>
            <UnevenChart reading={reading} unit={typed.layout.unit} lookedM={lookedM} />
          </Suspense>
        </Box>
      )}
      {sweeps && <Look typed={typed} on={on} onChange={onChange} />}
      {pattern && ground && lookedM !== null && (
        <>
          <Stripes
            pattern={pattern}
            ground={ground}
            spacingM={lookedM}
            mode={typed.mode}
            limit={reading.limit}
            spacing={lengthText(lookedM, typed)}
          />
          <Said lines={groundRemarks(reading, ground, typed)} />
          {mean && (
            <Box marginTop="8px">
              <WorkingLine working={mean} names={{ mean: 'Mean' }} size="plain" />
            </Box>
          )}
        </>
      )}
      {faults.length > 0 && (
        <Box marginTop="14px">
          {faults.map((fault) => (
            <Box key={fault.said} fontSize="16px" marginTop="6px">
              <b>▲ {fault.said}</b> {fault.try}
            </Box>
          ))}
          <Box fontSize="16px" marginTop="6px">
            Change one thing, test again, and hold the two against each other.
          </Box>
        </Box>
      )}
      {pattern && (
        <Button
          variant="ghost"
          minHeight="44px"
          marginLeft="-12px"
          marginTop="6px"
          aria-expanded={isMore || typed.calibration !== '' || typed.before !== ''}
          onClick={() => setMore(!isMore)}
        >
          Level and comparison
        </Button>
      )}
      {(isMore || typed.calibration !== '' || typed.before !== '') && (
        <>
          <Level typed={typed} on={on} onChange={onChange} />
          <BeforeAndAfter typed={typed} on={on} onChange={onChange} />
        </>
      )}
    </Box>
  );
}
