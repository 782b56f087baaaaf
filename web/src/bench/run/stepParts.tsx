import { Box } from '@chakra-ui/react';
import type { MethodField } from '@steady-scatter/core/testing';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { StepProps } from './steps.ts';

/** What to mind, a line each, where the act is. */
export const Cautions = ({ lines }: { lines: readonly string[] }) =>
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
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </Box>
  );

/** A reading of the run, as large as a gloved thumb needs it. */
export function ReadingField({ field, run, at, errorAt, onType }: { field: MethodField } & StepProps) {
  return (
    <LabelledField
      label={field.optional ? `${field.label} (may be left out)` : field.label}
      placeholder={field.placeholder}
      value={run.readings[field.id] ?? ''}
      data-flow
      minHeight={{ base: '60px', md: '48px' }}
      fontSize={{ base: '24px', md: '19px' }}
      fontVariantNumeric="tabular-nums"
      inputMode="text"
      error={errorAt(`runs.${at}.readings.${field.id}`)}
      onChange={(text) => onType({ readings: { ...run.readings, [field.id]: text } })}
    />
  );
}
