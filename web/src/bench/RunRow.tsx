import { Box, Button, chakra } from '@chakra-ui/react';
import { showQuantity, UNITS } from '@steady-scatter/core/quantities';
import {
  against,
  coarseRemark,
  methodOf,
  runLine,
  runRemarks,
  showAtWork,
  paceLine,
  isEmptyRun,
  isSprayed,
  unitsOf,
  type CalibrationInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { volumeUnitFor } from '@steady-scatter/core/fields';
import { MISSING } from '@steady-scatter/core/working';
import { ChevronDown } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import { nameOf, say, speak } from '@steady-scatter/words/bench';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { sameInput } from '../documents/sameInput.ts';
import { useWaitingRow } from '../events/appended.ts';
import { outbox } from '../outbox/index.ts';
import { dayText } from '../ui/dayText.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import type { CalibrationContext } from './calibrationContext.ts';

/** Test run, setting, put out, rate, against what is wanted. */
export const RUN_COLUMNS = { base: '34px 1fr 1.3fr 1.5fr', md: '34px 92px 1fr 1.2fr 1.3fr 24px' };

const Toggle = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: RUN_COLUMNS,
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
    '& [data-sr]': { srOnly: true },
    '& > [data-cell=number]': { textAlign: 'left' },
    '& > [data-cell=out], & > svg': { hideBelow: 'md' },
    '& > [data-cell=rate]': { whiteSpace: 'nowrap' },
    '& > [data-cell=against]': { textAlign: 'left', truncate: true },
    '&[data-excluded] > :not([data-cell=against])': { textDecoration: 'line-through', color: 'ink.soft' },
  },
});

interface Props extends DocFormProps<CalibrationInput> {
  run: RunInput;
  at: number;
  on: CalibrationContext;
  /** Where it is gone on with while it is being made. */
  path: string;
}

/** What was read in a run, and whether it counts. */
function RunFields({ run, at, on, errorAt, set, bind, field }: Props) {
  const earlierOf = (id: string) =>
    run.earlier.filter(({ field }) => field === id).map(({ text, why }) => `${text} (${why})`);
  return (
    <Fields>
      <LabelledField label={say('bench.run.setting')} {...field(`runs.${at}.setting`)} />
      {methodOf(run.method)
        .fields(on.bench.outlets)
        .map(({ id, label, placeholder }) => (
          <Box key={id}>
            <LabelledField
              label={speak(label)}
              placeholder={placeholder}
              value={run.readings[id] ?? ''}
              inputMode="decimal"
              minHeight="touch"
              error={errorAt(`runs.${at}.readings.${id}`)}
              onChange={(text) => set(`runs.${at}.readings.${id}`, text)}
            />
            {earlierOf(id).length > 0 && (
              <Box fontSize="15px" color="ink.soft">
                {say('bench.run.before')} <chakra.s>{earlierOf(id).join(', ')}</chakra.s>
              </Box>
            )}
          </Box>
        ))}
      <LabelledField label={say('bench.run.day')} type="date" {...field(`runs.${at}.onDay`)} />
      <LabelledField
        label={say('bench.run.excludedBecause')}
        placeholder={say('bench.run.counts')}
        {...bind(`runs.${at}.excluded`)}
      />
      <CheckLine
        label={say('bench.run.nothingOut')}
        checked={run.noFlow}
        onChange={() => set(`runs.${at}.noFlow`, !run.noFlow)}
      />
      <LabelledField label={say('bench.run.note')} {...bind(`runs.${at}.note`)} />
    </Fields>
  );
}

const symbolsOf = ({ mass, length }: CalibrationInput['units']): string =>
  say('bench.run.units', { mass: UNITS[mass].symbol, length: UNITS[length].symbol });

/** A run that the server did not take when it was sent: it stays in this browser. */
function Refused({ id }: { id: string }) {
  const waiting = useWaitingRow('testRuns', id);
  if (!waiting?.refusal) return null;
  const { entry, refusal } = waiting;
  return (
    <Box role="alert" color="warn" fontWeight="semibold" marginTop="10px">
      {say('bench.run.refused', { why: refusal.words })}
      <Box display="flex" gap="10px" marginTop="6px">
        <Button minHeight="44px" onClick={() => void outbox.again(entry.id)}>
          {say('bench.run.sendAgain')}
        </Button>
        <Button minHeight="44px" onClick={() => void outbox.drop(entry.id)}>
          {say('bench.run.drop')}
        </Button>
      </Box>
    </Box>
  );
}

interface LineProps {
  run: RunInput;
  at: number;
  /** What the results are of: a moment behind what is being typed. */
  resting: CalibrationInput;
  on: CalibrationContext;
  isOpen: boolean;
  onOpen(id: string | null): void;
}

/** One run: its setting and its rate in a line. A line is drawn anew only when what it says may have changed. */
export const RunLine = memo(function RunLineOf({
  run,
  at,
  resting,
  on: { reading },
  isOpen,
  onOpen,
}: LineProps) {
  const read = reading.runs[at];
  if (!read) return null;
  const shown = showAtWork(read, resting.target.unit);
  const isExcluded = run.excluded.trim() !== '';
  const off = against(read, reading.targetSi);
  const units = unitsOf(run, resting);
  const unit = isSprayed(reading.dimension) ? volumeUnitFor(units.length) : units.mass;
  const net = read.worked && showQuantity(read.worked.netSi, unit, 3);
  return (
    <Toggle
      type="button"
      aria-expanded={isOpen}
      data-excluded={isExcluded || undefined}
      onClick={() => onOpen(isOpen ? null : run.id)}
    >
      <span data-cell="number">
        <span data-sr>{say('bench.run.word')} </span>
        {at + 1}
      </span>
      <b>
        <span data-sr> {say('bench.run.at')} </span>
        {run.setting || run.readings['pressure'] || MISSING}
      </b>
      <span data-cell="out">{net ? `${net.number} ${net.unit}` : MISSING}</span>
      <span data-cell="rate">
        {shown ? `${shown.number}${shown.band ? ` ±${shown.band}` : ''}` : MISSING}
      </span>
      <span data-cell="against">
        {run.step !== ''
          ? say('bench.run.underWay')
          : isExcluded
            ? say('bench.run.excluded', { reason: run.excluded })
            : off && speak(off)}
      </span>
      <ChevronDown size={18} aria-hidden />
    </Toggle>
  );
});

/** A run that is open: what was read in it, and the working. */
export function OpenRun(props: Props) {
  const { run, at, input: calibration, on, path, set, removeAt } = props;
  const { reading, bench } = on;
  const read = reading.runs[at];
  if (!read) return null;
  const atWork = paceLine(run, read, calibration, reading.paceMPerS);
  const coarse = coarseRemark(read, reading.tolerance, calibration);
  const isMade = run.step !== '';
  const units = unitsOf(run, calibration);
  return (
    <Box padding="10px 8px 16px">
      <Box fontSize="16px" marginBottom="10px">
        {nameOf('method', run.method)}, {dayText(run.onDay)}
        {run.container ? say('bench.run.inContainer', { container: run.container }) : ''}
        {!sameInput(units, calibration.units) && (
          <>
            {say('bench.run.otherUnits', { units: symbolsOf(units) })}{' '}
            <Button size="sm" minHeight="44px" onClick={() => set(`runs.${at}.units`, calibration.units)}>
              {say('bench.run.takeUnits', { units: symbolsOf(calibration.units) })}
            </Button>
          </>
        )}
      </Box>
      {isMade ? (
        <Button asChild minHeight="44px">
          <Link to={path}>{say('bench.run.goOn')}</Link>
        </Button>
      ) : (
        <RunFields {...props} />
      )}
      <Refused id={run.row} />
      {isEmptyRun(run) && run.row === '' && !isMade && (
        <Button variant="ghost" minHeight="44px" marginLeft="-12px" onClick={() => removeAt('runs', at)}>
          {say('bench.run.deleteEmpty')}
        </Button>
      )}
      <Box marginTop="10px">
        <WorkingLine
          working={runLine(run, read, calibration, bench)}
          names={{ rate: say('testRun.result.rate') }}
          size="plain"
        />
        {atWork && (
          <WorkingLine working={atWork} names={{ rate: say('bench.run.rateAtWork') }} size="plain" />
        )}
      </Box>
      {[...runRemarks(run, read, reading, calibration, bench), coarse]
        .filter((remark) => remark !== null)
        .map(speak)
        .map((text) => (
          <Box key={text} fontSize="16px" marginTop="6px">
            {text}
          </Box>
        ))}
    </Box>
  );
}
