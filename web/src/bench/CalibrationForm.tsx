import { Box, Button, chakra } from '@chakra-ui/react';
import {
  adviceText,
  blankRun,
  correctionText,
  METHOD_IDS,
  METHODS,
  MISSING,
  MOST_RUNS,
  runLine,
  showRate,
  UNITS,
  type CalibrationTyped,
  type InputError,
  type MethodId,
} from '@steady-scatter/core';
import { Play, Plus } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useActs } from '../acts/ActsProvider.tsx';
import type { DocFormProps, DocFormWithWayOn } from '../kept/DocPage.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { NotesField } from '../ui/formParts.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { AimFields, AimSummary } from './AimFields.tsx';
import { benchOf, useBenchShelf, type OnBench } from './benchOf.ts';
import { Doubts } from './Doubts.tsx';
import { RateTable } from './RateTable.tsx';
import { ROUND_COLUMNS, RunRow } from './RunRow.tsx';
import { StripDrawing } from './run/StripDrawing.tsx';
import { SignOff } from './SignOff.tsx';
import { SpacingDoubt } from './SpacingDoubt.tsx';

const SettingChart = lazy(() => import('./SettingChart.tsx'));
const Select = chakra('select', { base: { ...fieldBox, minHeight: { base: '56px', md: '44px' } } });

/** What is missing before a mark can be told. */
function missingText({ rig, bench, reading }: OnBench): string {
  if (!rig) return 'Say which machine it is: its marks are needed to say what to set.';
  if (bench.scale.marks.length < 2) return 'Type the marks of the machine’s control on its own page.';
  return reading.targetKgPerM2 === null ? 'Type the rate that is wanted.' : '';
}

/** The mark to set now and why, the curve behind it, and the way to the next round. */
function Answer({
  typed,
  on,
  onChange,
  onStart,
}: {
  typed: CalibrationTyped;
  on: OnBench;
  onChange(typed: CalibrationTyped): void;
  onStart(): void;
}) {
  const { reading, bench } = on;
  const text = adviceText(reading, typed);
  const isGoing = typed.runs.some(({ step }) => step !== '');
  return (
    <Box as="section" aria-label="Answer" bg="paper" borderWidth="1px" borderColor="line" borderRadius="12px" padding={{ base: '16px', md: '18px 22px' }}>
      <SpacingDoubt typed={typed} on={on} onChange={onChange} />
      <Doubts typed={typed} reading={reading} onChange={onChange} />
      <Box display="flex" flexWrap="wrap" gap="4px 24px" alignItems="center">
        <Box flex="0 0 auto">
          <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
            {text?.act ?? 'Set to'}
          </Box>
          <BigNumber number={text?.mark ?? MISSING} unit="" live />
        </Box>
        <Box fontSize="17px" flex="1 1 240px" minHeight="48px">
          {text?.why ?? missingText(on)}
        </Box>
      </Box>
      <Box display="flex" gap="10px" marginTop="12px" data-noprint>
        <Button variant="solid" minHeight={{ base: '60px', md: '48px' }} fontSize="17px" onClick={onStart}>
          <Play size={18} /> {isGoing ? 'Go on with the round' : `Start round ${typed.runs.length + 1}`}
        </Button>
      </Box>
      <Suspense fallback={null}>
        <SettingChart typed={typed} on={on} marks={bench.scale.marks} />
      </Suspense>
      {correctionText(reading, typed, bench.kind).map((line) => (
        <Box key={line} fontSize="16px" marginTop="8px">
          {line}
        </Box>
      ))}
    </Box>
  ); // prettier-ignore
}

const withUnit = (text: string | undefined, symbol: string) => (!text ? '' : /[a-z'"]/i.test(text) ? text : `${text} ${symbol}`); // prettier-ignore

/** The last run as a line of arithmetic, with its strip. */
function LastRun({ typed, on }: { typed: CalibrationTyped; on: OnBench }) {
  const at = typed.runs.findLastIndex(({ struck, step }) => struck === '' && step === '');
  const run = typed.runs[at];
  const read = on.reading.runs[at];
  if (!run || !read?.worked) return null;
  return (
    <Section heading={`Round ${at + 1}, setting ${run.setting}`}>
      <WorkingLine working={runLine(run, read, typed)} names={{ rate: 'Rate' }} />
      {read.lengthM !== null && (
        <StripDrawing
          lengthM={read.lengthM}
          widthM={on.reading.widthM}
          length={withUnit(
            run.readings['length'] ?? run.readings['course'],
            UNITS[typed.units.length].symbol,
          )}
          width={withUnit(typed.width.text, UNITS[typed.width.unit].symbol)}
          inside={withUnit(run.readings['time'] ?? run.readings['courseTime'], 's')}
          passes={read.passes}
          standing={run.method === 'timed-catch' || run.method === 'fill-time'}
        />
      )}
    </Section>
  );
}

/** Adds a run that was made and written down elsewhere. */
function useTypedRuns({ typed, onChange }: Pick<DocFormProps<CalibrationTyped>, 'typed' | 'onChange'>, on: OnBench) {
  const [open, setOpen] = useState<string | null>(null);
  const [picked, setPicked] = useState<MethodId | null>(null);
  const last = typed.runs.at(-1);
  const method = picked ?? last?.method ?? 'weigh-back';
  return {
    open,
    setOpen,
    method,
    setPicked,
    add() {
      const id = newId();
      const setting = on.reading.advice?.mark.label ?? last?.setting ?? '';
      const same = last?.method === method ? (['length', 'course'] as const) : [];
      const readings = Object.fromEntries(same.flatMap((field) => (last?.readings[field] ? [[field, last.readings[field]]] : []))) as Record<string, string>; // prettier-ignore
      const width = typed.width.text.trim() === '' ? null : typed.width;
      onChange({ ...typed, runs: [...typed.runs, { ...blankRun(id, today(), method), setting, readings, width }] });
      setOpen(id);
    },
  };
} // prettier-ignore

/** All rounds in their order, what comes next, and a run typed in by hand. */
function Rounds(props: DocFormProps<CalibrationTyped> & { on: OnBench }) {
  const { typed, errorAt, onChange, on } = props;
  const runs = useTypedRuns(props, on);
  useActs([{ id: 'add-run', label: 'Type in a run', keys: 'Alt+R', run: runs.add }]);
  const { advice } = on.reading;
  const next = advice && advice.standing !== 'settled' ? advice : null;
  return (
    <Section heading="Rounds">
      {typed.runs.length > 0 && (
        <Box display="grid" gridTemplateColumns={ROUND_COLUMNS} gap="10px" paddingX="8px" paddingBottom="6px" fontSize="14px" fontWeight="semibold" color="ink.soft" textAlign="right">
          <Box textAlign="left">Round</Box>
          <Box>Setting</Box>
          <Box hideBelow="md">Put out</Box>
          <Box>Rate, {UNITS[typed.target.unit].symbol}</Box>
          <Box textAlign="left">Against {typed.target.amount || 'the rate'}</Box>
        </Box>
      )}
      {typed.runs.map((run, at) => (
        <RunRow
          key={run.id}
          run={run}
          at={at}
          calibration={typed}
          on={on}
          isOpen={runs.open === run.id}
          errorAt={errorAt}
          onToggle={() => runs.setOpen(runs.open === run.id ? null : run.id)}
          onChange={(changed) => onChange({ ...typed, runs: typed.runs.with(at, changed) })}
        />
      ))}
      {next && typed.runs.length > 0 && (
        <Box display="grid" gridTemplateColumns={ROUND_COLUMNS} gap="10px" padding="10px 8px" borderY="1px solid" borderColor="line" color="ink.soft" textAlign="right" fontSize="17px">
          <Box textAlign="left">{typed.runs.length + 1}</Box>
          <b>{next.mark.label}</b>
          <Box hideBelow="md">next</Box>
          <Box>{next.expected === null ? '' : `about ${showRate(next.expected, 0, typed.target.unit).number}`}</Box>
          <Box textAlign="left">{next.isGuess ? 'a guess, try it' : 'try this'}</Box>
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="8px" marginTop="12px" data-noprint>
        <Select aria-label="Method of the run to type in" value={runs.method} onChange={(event) => runs.setPicked(event.target.value as MethodId)}>
          {METHOD_IDS.map((id) => (
            <option key={id} value={id}>
              {METHODS[id].words}
            </option>
          ))}
        </Select>
        <Button minHeight={{ base: '56px', md: '44px' }} disabled={typed.runs.length >= MOST_RUNS} onClick={runs.add}>
          <Plus size={18} /> Type in a run
        </Button>
      </Box>
    </Section>
  );
} // prettier-ignore

/** A calibration: what is wanted, its rounds, and the mark to set with the reason. */
export function CalibrationForm(props: DocFormWithWayOn<CalibrationTyped> & { id: string | null }) {
  const { typed, errorAt, onChange, keepThen, id } = props;
  const shelf = useBenchShelf();
  const on = useMemo(() => benchOf(typed, shelf), [typed, shelf]);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(id === null);
  // Marks are known where the machine is: its errors come from here.
  const errorIn = (field: string): InputError | undefined =>
    errorAt(field) ??
    on.reading.errors.find((error) => error.field === field && !error.code.endsWith('.empty'));
  const isWrong = on.reading.errors.some(
    ({ field }) => !field.startsWith('runs.') && !field.startsWith('name'),
  );
  const start = () => keepThen((kept) => void navigate(`/bench/${kept}/run`));
  useActs([{ id: 'start-round', label: 'Start a round, or go on with it', keys: 'Alt+S', run: start }]);
  const fields = { ...props, errorAt: errorIn };
  return (
    <>
      {isOpen || isWrong || errorIn('name') ? (
        <>
          <AimFields {...fields} shelf={shelf} on={on} id={id} />
          {id !== null && !isWrong && (
            <Button variant="ghost" minHeight="44px" marginTop="-18px" marginLeft="-12px" onClick={() => setOpen(false)}>
              Done
            </Button>
          )}
        </>
      ) : (
        <AimSummary typed={typed} on={on} onOpen={() => setOpen(true)} />
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
        gap={{ base: '18px', lg: '32px' }}
        alignItems="start"
        onKeyDown={goOnWithEnter}
      >
        <Box minWidth={0} order={{ base: 2, lg: 1 }}>
          <LastRun typed={typed} on={on} />
          <Rounds {...fields} on={on} />
          <SignOff typed={typed} on={on} onChange={onChange} />
          <NotesField label="Notes" value={typed.notes} onChange={(notes) => onChange({ ...typed, notes })} />
        </Box>
        <Box minWidth={0} order={{ base: 1, lg: 2 }} display="grid" gap="20px">
          <Answer typed={typed} on={on} onChange={onChange} onStart={start} />
          <RateTable typed={typed} on={on} />
        </Box>
      </Box>
    </>
  ); // prettier-ignore
}
