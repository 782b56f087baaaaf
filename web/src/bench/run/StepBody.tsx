import { Box, Button } from '@chakra-ui/react';
import { MARKS_READABLE } from '@steady-scatter/core/machines';
import { fillAimOf, fillAimRemark, methodOf, planFor, unitsOf } from '@steady-scatter/core/testing';
import { nameOf, say, speak } from '@steady-scatter/words/bench';
import { dayText } from '../../ui/dayText.ts';
import { today } from '../../ui/today.ts';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { textWithUnit } from '@steady-scatter/core/quantities';
import { CombinedAim } from '../spray/CombinedAim.tsx';
import { NozzleCatch } from '../spray/NozzleCatch.tsx';
import { CheckLine } from '../../ui/CheckLine.tsx';
import { Container } from './Container.tsx';
import { ScaleReading } from './ScaleReading.tsx';
import { ReadingField } from './stepParts.tsx';
import type { StepProps } from './steps.ts';
import { Timing } from './Timing.tsx';

const Big = ({ children }: { children: string }) => (
  <Box
    fontFamily="figure"
    fontWeight="bold"
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
  const due = (on.rig?.services ?? []).filter(({ dueDay }) => dueDay !== '' && dueDay <= today());
  return (
    <Box>
      {due.map(({ id, what, dueDay }) => (
        <Box key={id} color="warn" fontWeight="semibold" marginBottom="6px">{say('testRun.step.due', { day: dayText(dueDay), what })}</Box>
      ))}
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="20px" marginBottom="8px">
        {lines.map((line) => (
          <CheckLine key={line} label={line} checked={run.checked.includes(line)} onChange={() => toggle(line)} />
        ))}
      </Box>
      {left.length > 1 && (
        <Button minHeight="touch" onClick={() => onType({ checked: lines })}>{say('testRun.step.allRight')}</Button>
      )}
      {left.includes(nameOf('check', MARKS_READABLE)) && run.checked.length > 0 && (
        <Box marginTop="8px" fontSize="16px">{say('testRun.step.ownMarks')}</Box>
      )}
    </Box>
  ); // prettier-ignore
}

/** The mark that it is set to, typed. */
const MarkField = ({ label, run, at, errorAt, onType }: StepProps & { label: string }) => (
  <Box maxWidth="240px" marginTop="10px">
    <LabelledField
      label={label}
      value={run.setting}
      minHeight="touch"
      error={errorAt(`runs.${at}.setting`)}
      onChange={(setting) => onType({ setting })}
    />
  </Box>
);

/** The mark to set and why. */
function SetMark(props: StepProps) {
  const { input, run, at, on, errorAt, onFirstFlow } = props;
  const { rig } = on;
  const asksFlow = on.reading.advice?.start.from === 'low' && at === 0 && on.bench.scale.firstFlow === null;
  return (
    <Box>
      <Box fontSize="16px" color="ink.soft">
        {rig?.control.name || say('bench.chart.control')}
        {rig?.control.readAt ? say('testRun.step.readAt', { place: rig.control.readAt }) : ''}
      </Box>
      <Big>{run.setting || '—'}</Big>
      {asksFlow && (
        <Box marginTop="10px">
          {say('testRun.step.flow')}
          <Box maxWidth="240px" marginTop="6px">
            <LabelledField
              label={say('testRun.step.flowAt')}
              placeholder={say('testRun.step.flowHint')}
              value={input.firstFlow}
              minHeight="touch"
              error={errorAt('firstFlow')}
              onChange={onFirstFlow}
            />
          </Box>
        </Box>
      )}
      <MarkField label={say('testRun.step.otherMark')} {...props} />
    </Box>
  );
}

/** Nozzle and pressure of a sprayer, and its speed mark where it has one. */
function SetSprayer(props: StepProps) {
  const { on } = props;
  const { nozzle, pressure } = on.rig!.spray;
  return (
    <Box>
      <Box fontSize={{ base: '26px', md: '22px' }} fontWeight="bold">
        {say('testRun.step.sprayed', {
          nozzle: nozzle.name || 'none',
          pressure: pressure.text === '' ? 'none' : textWithUnit(pressure.text, pressure.unit),
        })}
      </Box>
      {on.bench.scale.marks.length > 0 && (
        <MarkField label={on.rig!.control.name || say('bench.chart.control')} {...props} />
      )}
    </Box>
  );
}

/** The course that covers exactly 1000 ft2 or 100 m2 at the width that is sprayed. */
function RoundCourse({ input, run, step, on }: StepProps) {
  if (!on.bench.spray || step.id !== 'course' || methodOf(run.method).planned !== 'time') return null;
  return <Box fontSize="17px">{speak(planFor(run.method, input, on.bench, on.reading)[0]!)}</Box>;
}

/** How far a container goes and when it has to be full: the first answer of a fill-time test. */
function FillAim({ input, run, step, on }: StepProps) {
  if (!methodOf(run.method).fillsContainer || (step.id !== 'before' && step.id !== 'walk')) return null;
  const aim = fillAimOf(input, run, on.reading, on.bench);
  return (
    aim && <Box fontSize={{ base: '20px', md: '17px' }}>{speak(fillAimRemark(aim, input.units.length))}</Box>
  );
}

/** What one step of a guided run asks for. */
export function StepBody(props: StepProps) {
  const { step, on } = props;
  if (step.id === 'checks') return <Checks {...props} />;
  if (step.id === 'set')
    return on.bench.spray ? (
      <SetSprayer {...props} />
    ) : (
      <>
        <SetMark {...props} />
        <CombinedAim {...props} />
      </>
    );
  if (step.fields.some(({ id }) => id === 'volume.1')) return <NozzleCatch {...props} fields={step.fields} />;
  const times = step.fields.filter(({ kind }) => kind === 'time');
  const hasTare = step.fields.some(({ id }) => id === 'tare');
  return (
    <Box display="grid" gap="14px" maxWidth="460px">
      <RoundCourse {...props} />
      {step.fields
        .filter(({ kind }) => kind !== 'time')
        .map((field) => (
          <Box key={field.id}>
            <ReadingField field={field} {...props} />
            {field.kind === 'mass' && (
              <ScaleReading
                unit={unitsOf(props.run, props.input).mass}
                onWeight={(text) => props.onType({ readings: { ...props.run.readings, [field.id]: text } })}
              />
            )}
          </Box>
        ))}
      {hasTare && <Container {...props} />}
      <FillAim {...props} />
      <CombinedAim {...props} />
      {times.length > 0 && <Timing {...props} times={times} />}
      {times.map((field) => (
        <ReadingField key={field.id} field={field} {...props} />
      ))}
    </Box>
  );
}
