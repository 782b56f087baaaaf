import { Box, Button } from '@chakra-ui/react';
import { AnswerBox } from '../../ui/AnswerBox.tsx';
import {
  adviceText,
  coarseRemark,
  bandOfRun,
  correctionTexts,
  isEnded,
  paceLine,
  runLine,
  runRemarks,
  settingPicture,
  showAtWork,
  unitsOf,
  type CalibrationInput,
  type CalibrationResult,
  type RunInput,
} from '@steady-scatter/core/testing';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import type { Message } from '@steady-scatter/core/messages';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import { fieldsOfPart } from '../../documents/fields.ts';
import { BigNumber } from '../../ui/BigNumber.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { WorkingLine } from '../../ui/WorkingLine.tsx';
import { PlausibilityQuestions } from '../PlausibilityQuestions.tsx';
import { SprayResult } from '../spray/SprayResult.tsx';
import type { CalibrationContext } from '../calibrationContext.ts';
import { ResultBand } from './ResultBand.tsx';

interface Props {
  input: CalibrationInput;
  run: RunInput;
  at: number;
  on: CalibrationContext;
  onChange(input: CalibrationInput): void;
  onNext(): void;
  onRedo(): void;
  onDone(): void;
}

const Remarks = ({ lines }: { lines: readonly (Message | string)[] }) => (
  <>
    {lines.map(speak).map((line) => (
      <Box key={line} fontSize="17px" marginTop="6px">
        {line}
      </Box>
    ))}
  </>
);

/** Strikes a run out, with the reason that stays on it. */
function Strike({ run, onStrike }: { run: RunInput; onStrike(why: string): void }) {
  const [why, setWhy] = useState<string | null>(null);
  if (run.excluded !== '')
    return (
      <Box marginTop="10px">
        {say('testRun.result.excluded', { reason: run.excluded })}{' '}
        <Button variant="ghost" minHeight="44px" onClick={() => onStrike('')}>
          {say('testRun.result.include')}
        </Button>
      </Box>
    );
  if (why === null)
    return (
      <Button minHeight="touch" onClick={() => setWhy('')}>
        {say('testRun.result.exclude')}
      </Button>
    );
  return (
    <Box display="flex" gap="10px" alignItems="end" flexWrap="wrap" flex="1 1 300px">
      <Box flex="1 1 220px">
        <LabelledField
          label={say('bench.run.excludedBecause')}
          placeholder={say('testRun.result.excludeHint')}
          value={why}
          onChange={setWhy}
        />
      </Box>
      <Button minHeight="44px" disabled={why.trim() === ''} onClick={() => onStrike(why.trim())}>
        {say('testRun.result.exclude')}
      </Button>
    </Box>
  );
}

/** The pace that was walked becomes the working one: the other way out where a run was walked too fast or too slow. */
function TakePace({
  run,
  input,
  set,
}: Pick<DocFormProps<CalibrationInput>, 'input' | 'set'> & { run: RunInput }) {
  const { length, course, time, courseTime } = run.readings;
  const pace = {
    course: length ?? course ?? '',
    unit: unitsOf(run, input).length,
    time: time || courseTime || '',
  };
  return (
    <Button minHeight="touch" marginTop="8px" onClick={() => set('pace', pace)}>
      {say('testRun.result.paceOfRun', { course: pace.course, time: pace.time })}
    </Button>
  );
}

/** Whether another run is needed: settings of a session are left, or no mark is settled. */
const isOpen = ({ session, advice }: CalibrationResult): boolean =>
  session ? session.tested < session.marks.length : advice?.standing === 'open';

/** What the run that was just made comes to, and what to do next. */
export function TestRunResult({ input, run, at, on, onChange, onNext, onRedo, onDone }: Props) {
  const { reading, bench } = on;
  const read = reading.runs[at];
  if (!read) return null;
  const { unit } = input.target;
  const shown = showAtWork(read, unit);
  const text = adviceText(reading, input, on.product?.kind);
  const atWork = paceLine(run, read, input, reading.paceMPerS);
  const picture = settingPicture(reading, unit, bench.kind);
  const own = settingPicture(
    { ...reading, runs: [{ ...read, counts: true }], advice: null },
    unit,
    bench.kind,
  ).runs[0];
  const coarse = coarseRemark(read, reading.tolerance, input);
  const isDone = reading.session
    ? !isOpen(reading)
    : reading.advice !== null && isEnded(reading.advice.because);
  const { bind, set } = fieldsOfPart(input, onChange, () => undefined);
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      gap={{ base: '18px', lg: '36px' }}
    >
      <Box as="section" aria-label={say('testRun.result.heading')}>
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('testRun.result.delivered', { setting: run.setting, pace: atWork ? 'work' : 'own' })}
        </Box>
        <BigNumber
          number={shown?.number ?? '—'}
          unit={shown ? `${shown.unit}${shown.band ? ` ±${shown.band}` : ''}` : ''}
          live
        />
        {own && picture.target && (
          <ResultBand
            rate={{ ...own, band: own.y * bandOfRun(read) }}
            target={picture.target}
            label={say('testRun.result.band', { amount: input.target.amount })}
          />
        )}
        <Box marginTop="10px">
          <WorkingLine
            working={runLine(run, read, input, bench)}
            names={{ rate: say('testRun.result.rate') }}
            size="plain"
          />
          {atWork && (
            <WorkingLine working={atWork} names={{ rate: say('bench.run.rateAtWork') }} size="plain" />
          )}
        </Box>
        <Remarks lines={runRemarks(run, read, reading, input, bench)} />
        {read.pace?.isApart && <TakePace run={run} input={input} set={set} />}
        {coarse && <Remarks lines={[coarse]} />}
        <Box marginTop="12px" maxWidth="460px">
          <LabelledField
            label={say('bench.run.note')}
            placeholder={say('testRun.result.noteHint')}
            {...bind(`runs.${at}.note`)}
          />
        </Box>
        <Box display="flex" gap="10px" flexWrap="wrap" marginTop="12px" alignItems="end">
          <Button minHeight="touch" onClick={onRedo}>
            {say('testRun.result.again')}
          </Button>
          <Strike run={run} onStrike={(why) => set(`runs.${at}.excluded`, why)} />
        </Box>
      </Box>
      <AnswerBox padding={{ base: '16px', md: '22px' }} alignSelf="start">
        <PlausibilityQuestions input={input} reading={reading} set={set} />
        {reading.spray ? (
          <SprayResult input={input} on={on} />
        ) : (
          <>
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
              {say('bench.answer.act', { act: text?.act ?? 'set' })}
            </Box>
            <BigNumber number={text?.mark ?? '—'} unit="" />
            <Box fontSize="17px" marginTop="8px">
              {text ? speak(text.why) : say('testRun.result.lacks')}
            </Box>
          </>
        )}
        <Remarks lines={correctionTexts(reading, input, bench.kind)} />
        {(reading.spray || !isOpen(reading)) && on.afterUse.length > 0 && (
          <Remarks lines={[say('testRun.result.after', { checks: on.afterUse.join('; ') })]} />
        )}
        <Box display="flex" gap="10px" flexWrap="wrap" marginTop="18px">
          {text && reading.advice?.because !== 'settled' && (
            <Button variant={isDone ? 'outline' : 'solid'} minHeight="60px" fontSize="18px" onClick={onNext}>
              {say('testRun.result.next', { mark: text.mark })}
            </Button>
          )}
          {reading.spray && (
            <Button variant="outline" minHeight="60px" fontSize="18px" onClick={onNext}>
              {say('testRun.result.another')}
            </Button>
          )}
          <Button
            variant={reading.advice?.standing === 'open' ? 'outline' : 'solid'}
            minHeight="60px"
            fontSize="18px"
            onClick={onDone}
          >
            {isOpen(reading) ? say('testRun.result.enough') : say('testRun.result.toSign')}
          </Button>
        </Box>
      </AnswerBox>
    </Box>
  );
}
