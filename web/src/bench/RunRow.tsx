import { Box, chakra } from '@chakra-ui/react';
import {
  coarseText,
  methodOf,
  MISSING,
  runLine,
  showRun,
  type CalibrationReading,
  type CalibrationTyped,
  type InputError,
  type RunTyped,
} from '@steady-scatter/core';
import { ChevronDown } from 'lucide-react';
import { dayText } from '../ui/dayText.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';

const Toggle = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '76px 1fr auto', md: '92px 1fr auto 24px' },
    gap: '10px',
    alignItems: 'center',
    width: '100%',
    minHeight: { base: '56px', md: '44px' },
    paddingX: '8px',
    borderRadius: '6px',
    textAlign: 'left',
    cursor: 'pointer',
    fontSize: '17px',
    _hover: { bg: 'soft' },
    '&[aria-expanded=true]': { bg: 'soft' },
  },
});

interface Props {
  run: RunTyped;
  at: number;
  calibration: CalibrationTyped;
  reading: CalibrationReading;
  isOpen: boolean;
  errorAt(field: string): InputError | undefined;
  onToggle(): void;
  onChange(run: RunTyped): void;
}

/** What was read in a run, and whether it counts. */
function RunFields({ run, at, errorAt, onChange }: Pick<Props, 'run' | 'at' | 'errorAt' | 'onChange'>) {
  return (
    <Fields>
      <LabelledField
        label="Setting"
        value={run.setting}
        data-flow
        error={errorAt(`runs.${at}.setting`)}
        onChange={(setting) => onChange({ ...run, setting })}
      />
      {methodOf(run.method).fields.map(({ id, label, placeholder }) => (
        <LabelledField
          key={id}
          label={label}
          placeholder={placeholder}
          value={run.readings[id] ?? ''}
          inputMode="text"
          data-flow
          minHeight={{ base: '56px', md: '44px' }}
          error={errorAt(`runs.${at}.readings.${id}`)}
          onChange={(text) => onChange({ ...run, readings: { ...run.readings, [id]: text } })}
        />
      ))}
      <LabelledField
        label="Day"
        type="date"
        value={run.onDay}
        error={errorAt(`runs.${at}.onDay`)}
        onChange={(onDay) => onChange({ ...run, onDay })}
      />
      <LabelledField
        label="Struck out, because"
        placeholder="it counts"
        value={run.struck}
        onChange={(struck) => onChange({ ...run, struck })}
      />
      <LabelledField label="Note" value={run.note} onChange={(note) => onChange({ ...run, note })} />
    </Fields>
  );
}

/** One run: its setting and its rate in a line; open, with what was read and the working. */
export function RunRow({ run, at, calibration, reading, isOpen, errorAt, onToggle, onChange }: Props) {
  const read = reading.runs[at];
  if (!read) return null;
  const shown = showRun(read, calibration.target.unit);
  const coarse = coarseText(read, reading.scaleStepKg, reading.tolerance, calibration);
  const isStruck = run.struck.trim() !== '';
  return (
    <Box borderBottomWidth="1px" borderColor="line">
      <Toggle type="button" aria-expanded={isOpen} onClick={onToggle}>
        <b>at {run.setting || MISSING}</b>
        <chakra.span color="ink.soft" truncate>
          {methodOf(run.method).words}, {dayText(run.onDay)}
          {isStruck && `; struck out: ${run.struck}`}
        </chakra.span>
        <chakra.span
          fontVariantNumeric="tabular-nums"
          whiteSpace="nowrap"
          textDecoration={isStruck ? 'line-through' : undefined}
        >
          {shown ? `${shown.number}${shown.band ? ` ±${shown.band}` : ''}` : MISSING}
        </chakra.span>
        <Box hideBelow="md">
          <ChevronDown size={18} aria-hidden />
        </Box>
      </Toggle>
      {isOpen && (
        <Box padding="10px 8px 16px">
          <RunFields run={run} at={at} errorAt={errorAt} onChange={onChange} />
          <Box marginTop="10px">
            <WorkingLine working={runLine(run, read, calibration)} names={{ rate: 'Rate' }} size="plain" />
          </Box>
          {coarse && (
            <Box fontSize="16px" marginTop="6px">
              {coarse}
            </Box>
          )}
        </Box>
      )}
      <FieldErrors error={errorAt(`runs.${at}`)} typed="" />
    </Box>
  );
}
