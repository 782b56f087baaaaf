import { lazyPart } from '../ui/lazyPart.ts';
import { Box, Button } from '@chakra-ui/react';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { adviceText, correctionTexts, isSprayed, type CalibrationInput } from '@steady-scatter/core/testing';
import { MISSING } from '@steady-scatter/core/working';
import { Play } from 'lucide-react';
import { memo, Suspense } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import { BigNumber } from '../ui/BigNumber.tsx';
import type { DocFormProps } from '../documents/DocPage.tsx';
import type { CalibrationContext } from './calibrationContext.ts';
import { isUnderWay } from './run/useOpenRun.ts';
import { SprayResult } from './spray/SprayResult.tsx';
import { PlausibilityQuestions } from './PlausibilityQuestions.tsx';
import { SpacingQuestion } from './SpacingQuestion.tsx';

const SettingChart = lazyPart(() => import('./SettingChart.tsx'));

/** What is missing before a mark can be told. */
function missingText({ rig, bench, reading }: CalibrationContext): string {
  if (!rig) return say('bench.answer.lacksMachine');
  if (bench.scale.marks.length < 2) return say('bench.answer.lacksMarks');
  return reading.targetSi === null ? say('bench.answer.lacksRate') : '';
}

/** The mark to set now and why, the curve behind it, and the way to the next test run. */
export const BenchAnswer = memo(function BenchAnswerOf({
  input,
  on,
  set,
  onStart,
}: Pick<DocFormProps<CalibrationInput>, 'input' | 'set'> & { on: CalibrationContext; onStart(): void }) {
  const { reading, bench } = on;
  const text = adviceText(reading, input, on.product?.kind);
  const isGoing = input.runs.some(isUnderWay);
  const sprays = isSprayed(reading.dimension);
  return (
    <AnswerBox>
      <SpacingQuestion input={input} on={on} set={set} />
      <PlausibilityQuestions input={input} reading={reading} set={set} />
      {sprays ? (
        <SprayResult input={input} on={on} />
      ) : (
        <Box display="flex" flexWrap="wrap" gap="4px 24px" alignItems="center">
          <Box flex="0 0 auto">
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
              {say('bench.answer.act', { act: text?.act ?? 'set' })}
            </Box>
            <BigNumber number={text?.mark ?? MISSING} unit="" live />
          </Box>
          <Box fontSize="17px" flex="1 1 240px" minHeight="48px">
            {text ? speak(text.why) : missingText(on)}
          </Box>
        </Box>
      )}
      <Box display="flex" gap="10px" marginTop="12px" data-noprint>
        <Button variant="solid" minHeight={{ base: '60px', md: '48px' }} fontSize="17px" onClick={onStart}>
          <Play size={18} /> {isGoing ? say('bench.answer.goOn') : say('bench.answer.start', { number: input.runs.length + 1 })}
        </Button>
      </Box>
      {!sprays && (
        <Suspense fallback={null}>
          <SettingChart input={input} on={on} marks={bench.scale.marks} />
        </Suspense>
      )}
      {correctionTexts(reading, input, bench.kind).map(speak).map((line) => (
        <Box key={line} fontSize="16px" marginTop="8px">
          {line}
        </Box>
      ))}
    </AnswerBox>
  ); // prettier-ignore
});
