import { Box, Button } from '@chakra-ui/react';
import type { CalibrationResult, CalibrationInput } from '@steady-scatter/core/testing';
import { rich, say, speak } from '@steady-scatter/words/bench';
import { message } from '@steady-scatter/core/messages';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';
import { richly, TAGS } from '../ui/richly.tsx';

interface Props extends Pick<DocFormProps<CalibrationInput>, 'input' | 'set'> {
  reading: CalibrationResult;
}

/** Questions that are asked together: a wrong unit makes every run doubtful. */
const MAX_AT_ONCE = 3;

/** What is asked before it is believed: an answer, or a run struck out. */
export function PlausibilityQuestions({ input, reading: { plausibility }, set }: Props) {
  const more = plausibility.length - MAX_AT_ONCE;
  return (
    <>
      {plausibility.slice(0, MAX_AT_ONCE).map(({ id, kind, text, runs }) => (
        <WarningBox key={id} marginBottom="12px">
          <Box fontSize="17px">{richly(rich('bench.doubt.ask', { ...TAGS, text: speak(text) }))}</Box>
          <WarningActs>
            <Button minHeight="touch" onClick={() => set('confirmed', [...input.confirmed, id])}>
              {speak(message(`questions.yes.${kind}`))}
            </Button>
            {runs.map((run) => {
              const index = input.runs.findIndex((each) => each.id === run);
              return (
                <Button
                  key={run}
                  minHeight="touch"
                  onClick={() => set(`runs.${index}.excluded`, say('bench.doubt.wentWrong'))}
                >
                  {say('bench.doubt.exclude', { number: index + 1 })}
                </Button>
              );
            })}
          </WarningActs>
        </WarningBox>
      ))}
      {more > 0 && (
        <Box fontSize="16px" marginBottom="12px">
          {say('bench.doubt.more', {
            more,
          })}
        </Box>
      )}
    </>
  );
}
