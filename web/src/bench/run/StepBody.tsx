import { Box, Button, chakra } from '@chakra-ui/react';
import {
  MARKS_READABLE,
  practiceText,
  showExact,
  timeToAimFor,
  type MethodField,
} from '@steady-scatter/core';
import { useState } from 'react';
import { fieldBox } from '../../ui/fieldBox.ts';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { useCalibrations } from '../useCalibrations.ts';
import { CheckLine } from '../../ui/CheckLine.tsx';
import { ReadingField } from './stepParts.tsx';
import { Stopwatch } from './Stopwatch.tsx';
import type { StepProps } from './steps.ts';

const Big = ({ children }: { children: string }) => (
  <Box
    fontFamily="figure"
    fontWeight="700"
    fontSize={{ base: children.length > 4 ? '52px' : '112px', md: children.length > 4 ? '40px' : '72px' }}
    lineHeight="1"
    css={{ fontStretch: '82%' }}
  >
    {children}
  </Box>
);

/** What is looked at before: all of it ticked, or mended first. */
function Checks({ run, on, onType }: StepProps) {
  const lines = on.beforeUse;
  const left = lines.filter((line) => !run.checked.includes(line));
  const toggle = (line: string) =>
    onType({ checked: run.checked.includes(line) ? run.checked.filter((each) => each !== line) : [...run.checked, line] }); // prettier-ignore
  return (
    <Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="20px" marginBottom="8px">
        {lines.map((line) => (
          <CheckLine key={line} label={line} checked={run.checked.includes(line)} onChange={() => toggle(line)} />
        ))}
      </Box>
      {left.length > 1 && (
        <Button minHeight={{ base: '56px', md: '44px' }} onClick={() => onType({ checked: lines })}>
          All of it is right
        </Button>
      )}
      {left.includes(MARKS_READABLE) && run.checked.length > 0 && (
        <Box marginTop="8px" fontSize="16px">
          Marks that cannot be read: scratch or pencil your own beside the scale, and list them on the machine’s page.
        </Box>
      )}
    </Box>
  ); // prettier-ignore
}

/** The mark to set and why. */
function SetMark({ typed, run, at, on, errorAt, onType, onFirstFlow }: StepProps) {
  const { rig } = on;
  const asksFlow = typed.start === 'low' && at === 0 && on.bench.scale.firstFlow === null;
  return (
    <Box>
      <Box fontSize="16px" color="ink.soft">
        {rig?.control.name || 'setting'}
        {rig?.control.readAt ? `, read at the ${rig.control.readAt}` : ''}
      </Box>
      <Big>{run.setting || '—'}</Big>
      {asksFlow && (
        <Box marginTop="10px">
          First open it slowly: note the mark where product begins to run. That takes no scale and saves a
          round.
          <Box maxWidth="240px" marginTop="6px">
            <LabelledField
              label="It begins to run at"
              placeholder="not noted"
              value={typed.firstFlow}
              minHeight={{ base: '56px', md: '44px' }}
              error={errorAt('firstFlow')}
              onChange={onFirstFlow}
            />
          </Box>
        </Box>
      )}
      <Box maxWidth="240px" marginTop="10px">
        <LabelledField
          label="or another mark"
          value={run.setting}
          minHeight={{ base: '56px', md: '44px' }}
          data-flow
          error={errorAt(`runs.${at}.setting`)}
          onChange={(setting) => onType({ setting })}
        />
      </Box>
    </Box>
  );
}

const Select = chakra('select', { base: { ...fieldBox, minHeight: { base: '56px', md: '44px' }, maxWidth: '100%' } }); // prettier-ignore

/** Containers whose tare was weighed before, the latest weighing of each. */
function useContainers(): { name: string; tare: string }[] {
  const { data: calibrations = [] } = useCalibrations();
  const known = new Map<string, string>();
  for (const { typed } of calibrations)
    for (const { container, readings } of typed.runs)
      if (container.trim() !== '' && readings['tare']) known.set(container.trim(), readings['tare']);
  return [...known].map(([name, tare]) => ({ name, tare }));
}

/** Which container: its tare is remembered under its name; or the scale was zeroed with it. */
function Container({ run, onType }: StepProps) {
  const known = useContainers();
  const take = (name: string) => {
    const found = known.find((each) => each.name === name);
    if (found) onType({ container: found.name, readings: { ...run.readings, tare: found.tare } });
  };
  return (
    <Box display="grid" gap="10px" marginTop="10px">
      {known.length > 0 && (
        <chakra.label display="block" fontSize="15px" color="ink.soft" fontWeight="semibold">
          One that was weighed before
          <br />
          <Select value="" onChange={(event) => take(event.target.value)}>
            <option value="">choose …</option>
            {known.map(({ name, tare }) => (
              <option key={name} value={name}>
                {name}, {tare}
              </option>
            ))}
          </Select>
        </chakra.label>
      )}
      <LabelledField
        label="What it is called"
        placeholder="blue bucket"
        value={run.container}
        minHeight={{ base: '56px', md: '44px' }}
        onChange={(container) => onType({ container })}
      />
      <Button
        justifySelf="start"
        minHeight={{ base: '56px', md: '44px' }}
        aria-pressed={run.readings['tare'] === '0'}
        onClick={() => onType({ readings: { ...run.readings, tare: '0' } })}
      >
        The scale was zeroed with it: net
      </Button>
    </Box>
  );
}

/** The first time that is still missing takes what the watch says. */
const nextTime = (times: readonly MethodField[], readings: StepProps['run']['readings']): MethodField =>
  times.find(({ id }) => !readings[id]?.trim()) ?? times.at(-1)!;

const CATCH_ENDS = ['as you open', 'as you shut'] as const;

/** Times by the watch, or typed; and a pace practised first. */
function Timing(props: StepProps & { times: readonly MethodField[] }) {
  const { run, at, on, times, listens, onType } = props;
  const [practising, setPractising] = useState(false);
  const [walks, setWalks] = useState<readonly number[]>([]);
  const { lengthM } = on.reading.runs[at] ?? { lengthM: null };
  const pace = on.reading.paceMPerS;
  const isCatch = times.some(({ id }) => id === 'catchTime' || id === 'fillTime');
  const aimS = !isCatch && lengthM !== null && pace !== null ? timeToAimFor(lengthM, pace) : null;
  const next = nextTime(times, run.readings);
  const place = times.length > 1 ? `time ${times.indexOf(next) + 1} of ${times.length}` : '';
  return (
    <Box>
      {practising ? (
        <>
          <Stopwatch
            key="practice"
            storeKey={`steady-scatter.practice.${run.id}`}
            aimS={aimS}
            running
            listens={listens}
            label="practice"
            onLap={(seconds) => setWalks((before) => [...before, seconds])}
          />
          <Box fontSize="17px" marginTop="8px" aria-live="polite">
            {lengthM === null ? 'Type the length of the course first.' : practiceText(lengthM, walks, aimS)}
          </Box>
          <Button minHeight={{ base: '56px', md: '44px' }} marginTop="8px" onClick={() => setPractising(false)}>
            Time it for real
          </Button>
        </>
      ) : (
        <>
          <Stopwatch
            key={next.id}
            storeKey={`steady-scatter.watch.${run.id}.${next.id}`}
            listens={listens}
            aimS={aimS}
            ends={isCatch ? CATCH_ENDS : undefined}
            label={place}
            onLap={(seconds) => onType({ readings: { ...run.readings, [next.id]: `${showExact(Number(seconds.toFixed(1)), 6)} s` } })}
          />
          {!isCatch && (
            <Button variant="ghost" minHeight={{ base: '56px', md: '44px' }} onClick={() => { setWalks([]); setPractising(true); }}>
              Practise the pace first
            </Button>
          )}
        </>
      )}
    </Box>
  ); // prettier-ignore
}

/** What one step of a guided run asks for. */
export function StepBody(props: StepProps) {
  const { step } = props;
  if (step.id === 'checks') return <Checks {...props} />;
  if (step.id === 'set') return <SetMark {...props} />;
  const times = step.fields.filter(({ kind }) => kind === 'time');
  const hasTare = step.fields.length === 1 && step.fields[0]!.id === 'tare';
  return (
    <Box display="grid" gap="14px" maxWidth="460px">
      {step.fields
        .filter(({ kind }) => kind !== 'time')
        .map((field) => (
          <ReadingField key={field.id} field={field} {...props} />
        ))}
      {hasTare && <Container {...props} />}
      {times.length > 0 && <Timing {...props} times={times} />}
      {times.map((field) => (
        <ReadingField key={field.id} field={field} {...props} />
      ))}
    </Box>
  );
}
