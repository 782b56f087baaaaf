import { Box } from '@chakra-ui/react';
import { isBareNumber } from '@steady-scatter/core/quantities';
import { unitsOf, type MethodField } from '@steady-scatter/core/testing';
import { say, speak } from '@steady-scatter/words/bench';
import type { Message } from '@steady-scatter/core/messages';
import { readingUnit } from '../readingUnit.ts';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { StepProps } from './steps.ts';

/** What to mind, a line each, where the act is. */
export const Cautions = ({ lines }: { lines: readonly Message[] }) =>
  lines.length === 0 ? null : (
    <Box
      as="ul"
      listStyleType="none"
      fontSize="16px"
      borderLeftWidth="4px"
      borderColor="tape"
      paddingLeft="12px"
      marginY="10px"
    >
      {lines.map(speak).map((line) => (
        <li key={line}>{line}</li>
      ))}
    </Box>
  );

/** A reading of the run, as large as a gloved thumb needs it. */
export function ReadingField({ field, input, run, at, errorAt, onType }: { field: MethodField } & StepProps) {
  const text = run.readings[field.id] ?? '';
  const hasUnit = text.trim() !== '' && !isBareNumber(text);
  return (
    <LabelledField
      label={
        field.optional ? say('testRun.step.optional', { label: speak(field.label) }) : speak(field.label)
      }
      placeholder={field.placeholder}
      value={text}
      minHeight={{ base: '60px', md: '48px' }}
      fontSize={{ base: '24px', md: '19px' }}
      fontVariantNumeric="tabular-nums"
      inputMode="decimal"
      unit={
        !hasUnit && (
          <Box fontSize="18px" whiteSpace="nowrap">
            {readingUnit(field, unitsOf(run, input))}
          </Box>
        )
      }
      error={errorAt(`runs.${at}.readings.${field.id}`)}
      onChange={(text) => onType({ readings: { ...run.readings, [field.id]: text } })}
    />
  );
}
