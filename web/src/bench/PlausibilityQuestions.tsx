import { Box, Button } from '@chakra-ui/react';
import type { CalibrationResult, CalibrationInput } from '@steady-scatter/core/testing';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';

interface Props {
  input: CalibrationInput;
  reading: CalibrationResult;
  onChange(input: CalibrationInput): void;
}

/** What is asked before it is believed: an answer, or a run struck out. */
export function PlausibilityQuestions({ input, reading: { plausibility }, onChange }: Props) {
  const strike = (id: string) =>
    onChange({
      ...input,
      runs: input.runs.map((run) => (run.id === id ? Object.assign({}, run, { excluded: 'it went wrong' }) : run)),
    }); // prettier-ignore
  return plausibility.map(({ id, text, yes, runs }) => (
    <WarningBox key={id} marginBottom="12px">
      <Box fontSize="17px">
        <b>▲ Is this right?</b> {text}
      </Box>
      <WarningActs>
        <Button
          minHeight={{ base: '56px', md: '44px' }}
          onClick={() => onChange({ ...input, confirmed: [...input.confirmed, id] })}
        >
          {yes}
        </Button>
        {runs.map((run) => {
          const at = input.runs.findIndex((each) => each.id === run);
          return (
            <Button key={run} minHeight={{ base: '56px', md: '44px' }} onClick={() => strike(run)}>
              Strike out run {at + 1}
            </Button>
          );
        })}
      </WarningActs>
    </WarningBox>
  ));
}
