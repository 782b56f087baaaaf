import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { textWithUnit } from '@steady-scatter/core/quantities';
import {
  adviceText,
  runLine,
  methodOf,
  unitsOf,
  type CalibrationInput,
  type RunInput,
  type Step,
} from '@steady-scatter/core/testing';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import { WorkingLine } from '../../ui/WorkingLine.tsx';
import type { CalibrationContext } from '../calibrationContext.ts';
import { StepBody } from './StepBody.tsx';
import { Cautions } from './stepParts.tsx';
import { StripDrawing } from './StripDrawing.tsx';

interface Props {
  input: CalibrationInput;
  run: RunInput;
  at: number;
  on: CalibrationContext;
  steps: readonly Step[];
  errorAt(field: string): InputError | undefined;
  onType(more: Partial<RunInput>): void;
  onFirstFlow(mark: string): void;
  onGo(step: Step['id'] | 'result'): void;
  onTried(): void;
  /** Nothing came out: that is the result. */
  onNothing(): void;
}

/** What of a step is still missing, or cannot be. */
function missingIn({ fields, id }: Step, { run, at, errorAt, on }: Props): string[] {
  const hasMarks = !on.bench.spray || on.bench.scale.marks.length > 0;
  if (id === 'set' && hasMarks && run.setting.trim() === '') return [say('testRun.step.setting')];
  return fields.flatMap((field) => {
    if (errorAt(`runs.${at}.readings.${field.id}`))
      return [say('testRun.step.readable', { toLowerCase: speak(field.label).toLowerCase() })];
    const isThere = (run.readings[field.id] ?? '').trim() !== '';
    return isThere || field.optional || field.otherwise !== undefined
      ? []
      : [speak(field.label).toLowerCase()];
  });
}

/** The step whose watch space presses: the current one, else the first whose time is still missing. */
function timedStep({ steps, run }: Props): number {
  const hasTime = ({ fields }: Step) => fields.some(({ kind }) => kind === 'time');
  const lacks = ({ fields }: Step) =>
    fields.some(({ kind, id }) => kind === 'time' && !run.readings[id]?.trim());
  const current = steps.findIndex(({ id }) => id === run.step);
  if (current >= 0 && hasTime(steps[current]!)) return current;
  return steps.findIndex((step) => hasTime(step) && lacks(step));
}

/** Where one stands, on a phone: a piece of tape with a mark for each step. */
const Progress = ({ steps, current }: { steps: readonly Step[]; current: number }) => (
  <Box
    hideFrom="md"
    bg="tape"
    color="tape.ink"
    marginX="-16px"
    marginBottom="14px"
    padding="12px 16px 8px"
    fontWeight="bold"
    backgroundImage="repeating-linear-gradient(90deg, rgb(0 0 0 / 0.55) 0 1px, transparent 1px 12px)"
    backgroundSize="100% 8px"
    backgroundRepeat="no-repeat"
  >
    {say('testRun.step.current', {
      number: current + 1,
      count: steps.length,
      heading: speak(steps[current]?.heading ?? ''),
    })}
  </Box>
);

const isStanding = ({ method }: RunInput): boolean => methodOf(method).planned === 'time';

function Drawing({ input, run, at, on }: Pick<Props, 'input' | 'run' | 'at' | 'on'>) {
  const read = on.reading.runs[at];
  const { length: unit } = unitsOf(run, input);
  if (!read || methodOf(run.method).planned === 'ground') return null;
  const time = run.readings['time'] ?? run.readings['courseTime'];
  return (
    <StripDrawing
      lengthM={read.lengthM}
      widthM={on.reading.widthM}
      length={textWithUnit(run.readings['length'] ?? run.readings['course'] ?? '', unit)}
      width={textWithUnit(input.width.text, input.width.unit)}
      inside={textWithUnit(time ?? '', 's')}
      passes={read.passes}
      standing={isStanding(run)}
    />
  );
}

/** The steps of a run: one on the screen of a phone, all in view at a desk. */
export function RunSteps(props: Props) {
  const { input, run, at, on, steps, errorAt, onType, onFirstFlow, onGo, onTried, onNothing } = props;
  const [lacking, setLacking] = useState<readonly string[]>([]);
  const [unticked, setUnticked] = useState<readonly string[]>([]);
  const isTold = unticked.length > 0;
  const current = Math.max(0, steps.findIndex(({ id }) => id === run.step)); // prettier-ignore
  const timed = timedStep(props);
  const isLast = current === steps.length - 1;
  const why = adviceText(on.reading, input, on.product?.kind)?.why;
  const go = (step: Step['id'] | 'result') => {
    setLacking([]);
    setUnticked([]);
    onGo(step);
  };
  /** What is not ticked is told once before it is passed. */
  const asksForChecks = (): boolean => {
    const left = on.beforeUse.filter((line) => !run.checked.includes(line));
    if (left.length === 0 || isTold) return false;
    setUnticked(left);
    return true;
  };
  const goOn = (from: number) => {
    const missing = missingIn(steps[from]!, props);
    if (steps[from]!.id === 'checks' && asksForChecks()) return;
    if (missing.length === 0) go(from === steps.length - 1 ? 'result' : steps[from + 1]!.id);
    else {
      onTried();
      setLacking(missing);
    }
  };
  const finish = () => {
    if (steps.some(({ id }) => id === 'checks') && asksForChecks()) return;
    const missing = steps.flatMap((step) => missingIn(step, props));
    if (missing.length === 0 && on.reading.runs[at]?.worked) go('result');
    else {
      onTried();
      setLacking(missing.length > 0 ? missing : on.reading.widthM === null ? [say('testRun.step.spacing')] : [say('testRun.step.readings')]); // prettier-ignore
    }
  };
  const lackingLine = lacking.length > 0 && (
    <Box role="alert" color="warn" fontWeight="semibold" fontSize="17px" marginBottom="8px">
      {say('testRun.step.missing', { fields: lacking.join(', ') })}
    </Box>
  );
  const untickedLine = isTold && (
    <Box role="alert" color="warn" fontWeight="semibold" fontSize="17px" marginBottom="8px">
      {say('testRun.step.unchecked', { checks: unticked.join('; ') })}
    </Box>
  );
  const read = on.reading.runs[at];
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) minmax(0, 1.05fr)' }}
      gap={{ base: '0', md: '36px' }}
    >
      <Box minWidth={0}>
        <Progress steps={steps} current={current} />
        {steps.map((step, index) => (
          <Box
            as="section"
            key={step.id}
            aria-label={speak(step.heading)}
            display={{ base: index === current ? 'block' : 'none', md: 'block' }}
            borderTopWidth={{ md: index > 0 ? '1px' : '0' }}
            borderColor="line"
            paddingY={{ base: 0, md: '14px' }}
          >
            <chakra.h2 fontSize={{ base: '26px', md: '19px' }} fontWeight="bold" lineHeight="1.2">
              <chakra.span hideBelow="md" color="ink.soft">
                {index + 1}.{' '}
              </chakra.span>
              {speak(step.heading)}
            </chakra.h2>
            <Box fontSize={{ base: '18px', md: '16px' }} marginBottom="10px">
              {speak(step.how)}
              {step.id === 'set' && why ? ` ${speak(why)}` : ''}
            </Box>
            <Cautions lines={step.cautions} />
            <StepBody
              input={input}
              run={run}
              at={at}
              step={step}
              on={on}
              listens={index === timed}
              errorAt={errorAt}
              onType={onType}
              onFirstFlow={onFirstFlow}
            />
            {step.id === 'walk' && (
              <Button variant="ghost" minHeight="touch" marginLeft="-12px" marginTop="6px" onClick={onNothing}>{say('bench.run.nothingOut')}</Button>
            )}
            <Box hideFrom="md">{(step.id === 'course' || (step.id === 'walk' && !isStanding(run))) && <Drawing {...props} />}</Box>
          </Box>
        ))}
      </Box>
      <Box hideBelow="md" position="sticky" top="12px" alignSelf="start">
        <Drawing {...props} />
        {read && (
          <Box marginTop="10px">
            <WorkingLine working={runLine(run, read, input, on.bench)} names={{ rate: say('testRun.result.rate') }} size="plain" />
          </Box>
        )}
        <Box marginTop="18px">
          {untickedLine}
          {lackingLine}
          <Button variant="solid" minHeight="52px" fontSize="17px" onClick={finish}>{say('testRun.step.finish')}</Button>
        </Box>
      </Box>
      <Box
        hideFrom="md"
        position="fixed"
        left="0"
        right="0"
        bottom="64px"
        bg="ground"
        borderTopWidth="1px"
        borderColor="line"
        padding="10px 16px"
        zIndex="9"
      >
        {untickedLine}
        {lackingLine}
        <Box display="grid" gridTemplateColumns="auto 1fr" gap="10px">
          <Button
            minHeight="60px"
            minWidth="92px"
            fontSize="18px"
            disabled={current === 0}
            onClick={() => go(steps[current - 1]!.id)}
          >{say('testRun.step.back')}</Button>
          <Button variant="solid" minHeight="60px" fontSize="19px" onClick={() => (isLast ? finish() : goOn(current))}>
            {isLast ? say('testRun.step.show') : say('testRun.step.next', { heading: speak(steps[current + 1]?.heading ?? '').toLowerCase() })}
          </Button>
        </Box>
      </Box>
    </Box>
  ); // prettier-ignore
}
