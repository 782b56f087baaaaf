import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { showQuantity, UNITS } from '@steady-scatter/core/quantities';
import {
  againstText,
  coarseText,
  methodOf,
  METHODS,
  runLine,
  runRemarks,
  showAtWork,
  paceLine,
  isEmptyRun,
  unitsOf,
  type CalibrationInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { MISSING } from '@steady-scatter/core/working';
import { ChevronDown } from 'lucide-react';
import { Link } from 'react-router';
import { sameInput } from '../documents/sameInput.ts';
import { useWaitingRow } from '../events/appended.ts';
import { outbox } from '../outbox/index.ts';
import { dayText } from '../ui/dayText.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import type { CalibrationContext } from './calibrationContext.ts';

/** Round, setting, put out, rate, against what is wanted. */
export const ROUND_COLUMNS = { base: '34px 1fr 1.3fr 1.5fr', md: '54px 72px 1fr 1.2fr 1.3fr 24px' };

const Toggle = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: ROUND_COLUMNS,
    gap: '10px',
    alignItems: 'center',
    width: '100%',
    minHeight: { base: '56px', md: '48px' },
    paddingX: '8px',
    borderRadius: '6px',
    textAlign: 'right',
    cursor: 'pointer',
    fontSize: '17px',
    fontVariantNumeric: 'tabular-nums',
    _hover: { bg: 'soft' },
    '&[aria-expanded=true]': { bg: 'soft' },
  },
});

interface Props {
  run: RunInput;
  at: number;
  calibration: CalibrationInput;
  on: CalibrationContext;
  isOpen: boolean;
  /** Where it is gone on with while it is being made. */
  path: string;
  errorAt(field: string): InputError | undefined;
  onToggle(): void;
  onChange(run: RunInput): void;
  onRemove(): void;
}

/** What was read in a run, and whether it counts. */
function RunFields({
  run,
  at,
  on,
  errorAt,
  onChange,
}: Pick<Props, 'run' | 'at' | 'on' | 'errorAt' | 'onChange'>) {
  const earlierOf = (id: string) =>
    run.earlier.filter(({ field }) => field === id).map(({ text, why }) => `${text} (${why})`);
  return (
    <Fields>
      <LabelledField
        label="Setting"
        value={run.setting}
        data-flow
        error={errorAt(`runs.${at}.setting`)}
        onChange={(setting) => onChange({ ...run, setting })}
      />
      {methodOf(run.method)
        .fields(on.bench.outlets)
        .map(({ id, label, placeholder }) => (
          <Box key={id}>
            <LabelledField
              label={label}
              placeholder={placeholder}
              value={run.readings[id] ?? ''}
              inputMode="text"
              data-flow
              minHeight={{ base: '56px', md: '44px' }}
              error={errorAt(`runs.${at}.readings.${id}`)}
              onChange={(text) => onChange({ ...run, readings: { ...run.readings, [id]: text } })}
            />
            {earlierOf(id).length > 0 && (
              <Box fontSize="15px" color="ink.soft">
                before: <chakra.s>{earlierOf(id).join(', ')}</chakra.s>
              </Box>
            )}
          </Box>
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
        value={run.excluded}
        onChange={(excluded) => onChange({ ...run, excluded })}
      />
      <CheckLine
        label="Nothing came out"
        checked={run.noFlow}
        onChange={() => onChange({ ...run, noFlow: !run.noFlow })}
      />
      <LabelledField label="Note" value={run.note} onChange={(note) => onChange({ ...run, note })} />
    </Fields>
  );
}

const symbolsOf = ({ mass, length }: CalibrationInput['units']): string =>
  `${UNITS[mass].symbol} and ${UNITS[length].symbol}`;

/** A run that the server did not take when it was sent: it stays in this browser. */
function Refused({ id }: { id: string }) {
  const waiting = useWaitingRow('testRuns', id);
  if (!waiting?.refusal) return null;
  const { entry, refusal } = waiting;
  return (
    <Box role="alert" color="warn" fontWeight="semibold" marginTop="10px">
      ▲ On this device alone: {refusal.words}
      <Box display="flex" gap="10px" marginTop="6px">
        <Button minHeight="44px" onClick={() => void outbox.again(entry.id)}>
          Send it again
        </Button>
        <Button minHeight="44px" onClick={() => void outbox.drop(entry.id)}>
          Drop it
        </Button>
      </Box>
    </Box>
  );
}

/** One run: its setting and its rate in a line; open, with what was read and the working. */
export function RunRow({
  run,
  at,
  calibration,
  on,
  isOpen,
  path,
  errorAt,
  onToggle,
  onChange,
  onRemove,
}: Props) {
  const { reading, bench } = on;
  const read = reading.runs[at];
  if (!read) return null;
  const shown = showAtWork(read, calibration.target.unit);
  const atWork = paceLine(run, read, calibration, reading.paceMPerS);
  const coarse = coarseText(read, reading.tolerance, calibration);
  const isStruck = run.excluded.trim() !== '';
  const isMade = run.step !== '';
  const units = unitsOf(run, calibration);
  const net = read.worked && showQuantity(read.worked.netKg, units.mass, 3);
  const line = isStruck ? { textDecoration: 'line-through', color: 'ink.soft' } : {};
  return (
    <Box borderTopWidth="1px" borderColor="line">
      <Toggle type="button" aria-expanded={isOpen} onClick={onToggle}>
        <chakra.span textAlign="left">
          <chakra.span srOnly>Round </chakra.span>
          {at + 1}
        </chakra.span>
        <chakra.b {...line}>
          <chakra.span srOnly> at </chakra.span>
          {run.setting || MISSING}
        </chakra.b>
        <chakra.span hideBelow="md" {...line}>
          {net ? `${net.number} ${net.unit}` : MISSING}
        </chakra.span>
        <chakra.span whiteSpace="nowrap" {...line}>
          {shown ? `${shown.number}${shown.band ? ` ±${shown.band}` : ''}` : MISSING}
        </chakra.span>
        <chakra.span textAlign="left" truncate>
          {isMade
            ? 'under way'
            : isStruck
              ? `excluded: ${run.excluded}`
              : againstText(read, reading.targetSi)}
        </chakra.span>
        <Box hideBelow="md">
          <ChevronDown size={18} aria-hidden />
        </Box>
      </Toggle>
      {isOpen && (
        <Box padding="10px 8px 16px">
          <Box fontSize="16px" marginBottom="10px">
            {METHODS[run.method].words}, {dayText(run.onDay)}
            {run.container ? `, in ${run.container}` : ''}
            {!sameInput(units, calibration.units) && (
              <>
                , its numbers without a unit are {symbolsOf(units)}{' '}
                <Button
                  size="sm"
                  minHeight="44px"
                  onClick={() => onChange({ ...run, units: calibration.units })}
                >
                  They are {symbolsOf(calibration.units)}
                </Button>
              </>
            )}
          </Box>
          {isMade ? (
            <Button asChild minHeight="44px">
              <Link to={path}>Go on with this round</Link>
            </Button>
          ) : (
            <RunFields run={run} at={at} on={on} errorAt={errorAt} onChange={onChange} />
          )}
          <Refused id={run.row} />
          {isEmptyRun(run) && run.row === '' && !isMade && (
            <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={onRemove}>
              Delete this empty run
            </Button>
          )}
          <Box marginTop="10px">
            <WorkingLine
              working={runLine(run, read, calibration, bench)}
              names={{ rate: 'Rate' }}
              size="plain"
            />
            {atWork && (
              <WorkingLine working={atWork} names={{ rate: 'Rate at the pace of work' }} size="plain" />
            )}
          </Box>
          {[...runRemarks(run, read, reading, calibration), coarse]
            .filter((text) => text !== null)
            .map((text) => (
              <Box key={text} fontSize="16px" marginTop="6px">
                {text}
              </Box>
            ))}
        </Box>
      )}
      <FieldErrors error={errorAt(`runs.${at}`)} input="" />
    </Box>
  );
}
