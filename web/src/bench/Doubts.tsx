import { Box, Button } from '@chakra-ui/react';
import type { CalibrationResult, CalibrationInput } from '@steady-scatter/core/testing';
import { WarningActs, WarningBox } from '../ui/WarningBox.tsx';

interface Props {
  typed: CalibrationInput;
  reading: CalibrationResult;
  onChange(typed: CalibrationInput): void;
}

/** What is asked before it is believed: an answer, or a run struck out. */
export function Doubts({ typed, reading: { doubts }, onChange }: Props) {
  const strike = (id: string) =>
    onChange({
      ...typed,
      runs: typed.runs.map((run) => (run.id === id ? Object.assign({}, run, { struck: 'it went wrong' }) : run)),
    }); // prettier-ignore
  return doubts.map(({ id, text, yes, runs }) => (
    <WarningBox key={id} marginBottom="12px">
      <Box fontSize="17px">
        <b>▲ Is this right?</b> {text}
      </Box>
      <WarningActs>
        <Button
          minHeight={{ base: '56px', md: '44px' }}
          onClick={() => onChange({ ...typed, answers: [...typed.answers, id] })}
        >
          {yes}
        </Button>
        {runs.map((run) => {
          const at = typed.runs.findIndex((each) => each.id === run);
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
