import { Box } from '@chakra-ui/react';
import { lookUpRate, paceText, showRate, type CalibrationInput } from '@steady-scatter/core/testing';
import { memo, useState } from 'react';
import { rich, say, speak } from '@steady-scatter/words/bench';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import type { CalibrationContext } from './calibrationContext.ts';
import { richly, TAGS } from '../ui/richly.tsx';

/** Every mark over what was tested, with its rate; and "I need 3.2", which mark is that? */
export const RateTable = memo(function RateTableOf({
  input,
  on,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
}) {
  const [asked, setAsked] = useState('');
  const { chart, advice } = on.reading;
  if (chart.length < 2) return null;
  const kept = input.signOff?.setting ?? advice?.mark.label;
  const found = lookUpRate(on.reading, input, asked);
  const { unit } = showRate(1, 0, input.target.unit);
  const pace = speak(paceText(on.reading.chartPaceMPerS, input.units.length));
  return (
    <Section heading={say('bench.table.heading', { unit })}>
      <Box
        as="ul"
        listStyleType="none"
        display="grid"
        gridTemplateColumns="repeat(auto-fill, minmax(112px, 1fr))"
        columnGap="20px"
        fontSize="16px"
        fontVariantNumeric="tabular-nums"
      >
        {chart.map(({ mark, rateSi, tested }) => (
          <Box
            as="li"
            key={mark.label}
            display="flex"
            justifyContent="space-between"
            borderBottomWidth="1px"
            borderColor="line"
            paddingY="3px"
            fontWeight={mark.label === kept ? 'bold' : 'normal'}
            bg={mark.label === kept ? 'soft' : undefined}
          >
            <span>
              {mark.label}
              {tested ? ' ●' : ''}
            </span>
            <span>{showRate(rateSi, 0, input.target.unit).number}</span>
          </Box>
        ))}
      </Box>
      <Box fontSize="15px" color="ink.soft" marginTop="4px">
        {say('bench.table.legend', { pace: pace || 'none' })}
      </Box>
      <Box display="flex" gap="14px" alignItems="end" flexWrap="wrap" marginTop="8px" data-noprint>
        <Box width="150px">
          <LabelledField
            label={say('bench.table.need')}
            placeholder="3.2"
            value={asked}
            error={found.error ?? undefined}
            onChange={setAsked}
          />
        </Box>
        <Box aria-live="polite" fontSize="17px" paddingBottom="10px" flex="1 1 220px">
          {found.mark && found.text && (
            <>{richly(rich('bench.table.set', { ...TAGS, mark: found.mark, text: speak(found.text) }))}</>
          )}
        </Box>
      </Box>
    </Section>
  );
});
