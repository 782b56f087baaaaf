import { Box, Button, chakra } from '@chakra-ui/react';
import {
  adviceText,
  blankRun,
  METHOD_IDS,
  METHODS,
  MISSING,
  NO_SCALE,
  MOST_RUNS,
  readCalibration,
  readRig,
  rigKind,
  showRate,
  type CalibrationReading,
  type CalibrationTyped,
  type InputError,
  type MethodId,
} from '@steady-scatter/core';
import { Plus } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { useActs } from '../acts/ActsProvider.tsx';
import type { DocFormProps } from '../kept/DocPage.tsx';
import { useRigs } from '../rigs/useRigs.ts';
import { BigNumber } from '../ui/BigNumber.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { NotesField } from '../ui/formParts.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import { AimFields } from './AimFields.tsx';
import { RunRow } from './RunRow.tsx';
import { SignOff } from './SignOff.tsx';

const SettingChart = lazy(() => import('./SettingChart.tsx'));
const Select = chakra('select', { base: { ...fieldBox, minHeight: { base: '56px', md: '44px' } } });

/** The mark to set now, and why. */
function Answer({
  typed,
  reading,
  hasRig,
}: {
  typed: CalibrationTyped;
  reading: CalibrationReading;
  hasRig: boolean;
}) {
  const text = adviceText(reading, typed);
  const missing = !hasRig
    ? 'Say which machine it is: its marks are needed to say what to set.'
    : typed.target.amount.trim() === ''
      ? 'Type the rate that is wanted.'
      : 'Type the marks of the machine’s control on its own page.';
  return (
    <Box as="section" aria-label="Answer">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {text?.act ?? 'Set to'}
      </Box>
      <BigNumber number={text?.mark ?? MISSING} unit="" live />
      <Box fontSize="17px" marginTop="8px" minHeight="48px">
        {text?.why ?? missing}
      </Box>
    </Box>
  );
}

/** Every mark over what was tested, with its rate: the chart of this machine for this product. */
function RateTable({ typed, reading }: { typed: CalibrationTyped; reading: CalibrationReading }) {
  const { chart, advice } = reading;
  if (chart.length < 2) return null;
  return (
    <Section heading="Rates at the marks, over what was tested">
      <Box display="flex" flexWrap="wrap" gap="4px 22px" fontSize="16px" fontVariantNumeric="tabular-nums">
        {chart.map(({ mark, rateKgPerM2, tested }) => (
          <Box key={mark.label} fontWeight={mark.label === advice?.mark.label ? 'bold' : 'normal'}>
            {mark.label}: {showRate(rateKgPerM2, 0, typed.target.unit).number}
            {tested ? ' tested' : ''}
          </Box>
        ))}
      </Box>
      <Box fontSize="15px" color="ink.soft">
        in {showRate(1, 0, typed.target.unit).unit}
      </Box>
    </Section>
  );
}

/** Adds runs with the setting that is proposed and what stays the same from the last one. */
function useRuns(
  { typed, onChange }: Pick<DocFormProps<CalibrationTyped>, 'typed' | 'onChange'>,
  reading: CalibrationReading,
) {
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
      const setting = reading.advice?.mark.label ?? last?.setting ?? '';
      const same =
        last?.method === method ? { length: last.readings['length'], course: last.readings['course'] } : {};
      const readings = Object.fromEntries(Object.entries(same).filter(([, text]) => text)) as Record<
        string,
        string
      >;
      onChange({ ...typed, runs: [...typed.runs, { ...blankRun(id, today(), method), setting, readings }] });
      setOpen(id);
    },
  };
}

/** A calibration as it is typed. */
export function CalibrationForm(props: DocFormProps<CalibrationTyped>) {
  const { typed, errorAt, onChange } = props;
  const { data: rigs = [] } = useRigs();
  const rig = rigs.find(({ id }) => id === typed.rig)?.typed;
  const read = useMemo(() => (rig ? readRig(rig) : null), [rig]);
  const reading = useMemo(
    () => readCalibration(typed, read?.control ?? NO_SCALE, read?.paceMPerS ?? null),
    [typed, read],
  );
  const runs = useRuns(props, reading);
  useActs([{ id: 'add-run', label: 'Add a run', keys: 'Alt+R', run: runs.add }]);
  // Marks are known where the machine is: its errors come from here.
  const errorIn = (field: string): InputError | undefined =>
    errorAt(field) ?? reading.errors.find((error) => error.field === field && !error.code.endsWith('.empty'));
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.15fr) minmax(0, 1fr)' }}
      gap={{ base: '18px', lg: '32px' }}
      alignItems="start"
      onKeyDown={goOnWithEnter}
    >
      <Box minWidth={0} order={{ base: 2, lg: 1 }}>
        <AimFields
          {...props}
          errorAt={errorIn}
          rigs={rigs}
          widthWords={rig ? rigKind(rig.kind).width : 'pass spacing'}
        />
        <Section heading="Runs">
          {typed.runs.map((run, at) => (
            <RunRow
              key={run.id}
              run={run}
              at={at}
              calibration={typed}
              reading={reading}
              isOpen={runs.open === run.id}
              errorAt={errorIn}
              onToggle={() => runs.setOpen(runs.open === run.id ? null : run.id)}
              onChange={(next) => onChange({ ...typed, runs: typed.runs.with(at, next) })}
            />
          ))}
          <Box display="flex" flexWrap="wrap" gap="8px" marginTop="10px" data-noprint>
            <Select
              aria-label="Method of the next run"
              value={runs.method}
              onChange={(event) => runs.setPicked(event.target.value as MethodId)}
            >
              {METHOD_IDS.map((id) => (
                <option key={id} value={id}>
                  {METHODS[id].words}
                </option>
              ))}
            </Select>
            <Button
              minHeight={{ base: '56px', md: '44px' }}
              disabled={typed.runs.length >= MOST_RUNS}
              onClick={runs.add}
            >
              <Plus size={18} /> Add a run
            </Button>
          </Box>
          <Box fontSize="15px" color="ink.soft" marginTop="6px">
            {METHODS[runs.method].how} Bring: {METHODS[runs.method].needs.join(', ')}.
          </Box>
        </Section>
        <SignOff typed={typed} reading={reading} onChange={onChange} />
        <NotesField label="Notes" value={typed.notes} onChange={(notes) => onChange({ ...typed, notes })} />
      </Box>
      <Box minWidth={0} order={{ base: 1, lg: 2 }} position={{ lg: 'sticky' }} top="12px">
        <Answer typed={typed} reading={reading} hasRig={rig !== undefined} />
        <Suspense fallback={<Box height="320px" />}>
          <SettingChart typed={typed} reading={reading} marks={read?.control.marks ?? []} />
        </Suspense>
        <RateTable typed={typed} reading={reading} />
      </Box>
    </Box>
  );
}
