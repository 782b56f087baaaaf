import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { say } from '@steady-scatter/words/bench';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { DocFormWithWayOn } from '../documents/DocPage.tsx';
import { useStable } from '../ui/useStable.ts';
import { NotesField } from '../ui/formParts.tsx';
import { AimDefaults } from './aim/AimDefaults.tsx';
import { AimQuestions } from './aim/AimQuestions.tsx';
import { AimSummary } from './aim/AimSummary.tsx';
import { BenchAnswer } from './BenchAnswer.tsx';
import { calibrationContext, useMachineShelf } from './calibrationContext.ts';
import { LastRun } from './LastRun.tsx';
import { RateTable } from './RateTable.tsx';
import { TestRuns } from './TestRuns.tsx';
import { SignOff } from './SignOff.tsx';

/** A calibration: what is wanted, its test runs, and the mark to set with the reason. */
export function CalibrationForm(props: DocFormWithWayOn<CalibrationInput> & { id: string | null }) {
  const { input, errorAt, bind, set, keepThen, id } = props;
  const shelf = useMachineShelf(input.rig);
  // A key is shown at once; what it comes to follows, and gives way to the next key.
  const resting = useDeferredValue(input);
  const on = useMemo(() => calibrationContext(resting, shelf, id), [resting, shelf, id]);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(id === null);
  // Marks are known where the machine is: its errors come from here.
  const errorIn = (field: string): InputError | undefined =>
    errorAt(field) ??
    on.reading.errors.find((error) => error.field === field && !error.code.endsWith('.empty'));
  const isWrong = on.reading.errors.some(
    ({ field }) => !field.startsWith('runs.') && !field.startsWith('name'),
  );
  const start = useStable(() => keepThen((kept) => void navigate(`/bench/${kept}/run`)));
  useCommands([{ id: 'start-test-run', label: say('bench.command.start'), keys: 'Alt+S', run: start }]);
  const fields: typeof props = {
    ...props,
    errorAt: errorIn,
    field: (path) => ({ ...bind(path), error: errorIn(path) }),
  };
  const aim = { ...fields, shelf, on, id };
  const asks = isOpen || isWrong || errorIn('name') !== undefined;
  return (
    <>
      {!asks && <AimSummary input={input} on={on} onOpen={() => setOpen(true)} />}
      <Box
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: `minmax(0, ${asks ? 1.5 : 1}fr) minmax(0, 1fr)` }}
        gap={{ base: '18px', lg: '32px' }}
        alignItems="start"
      >
        <Box minWidth={0} order={{ base: asks ? 1 : 2, lg: 1 }}>
          {asks && (
            <>
              <AimQuestions {...aim} />
              <AimDefaults {...aim} />
              {id !== null && !isWrong && (
                <Button minHeight="44px" marginBottom="18px" onClick={() => setOpen(false)}>{say('bench.aim.done')}</Button>
              )}
            </>
          )}
          <LastRun input={resting} on={on} />
          <TestRuns {...fields} resting={resting} on={on} id={id} />
          <SignOff input={input} on={on} bind={bind} set={set} />
          <NotesField label={say('bench.notes')} {...bind('notes')} />
        </Box>
        <Box minWidth={0} order={{ base: asks ? 2 : 1, lg: 2 }} display="grid" gap="20px" position={{ lg: asks ? 'sticky' : 'static' }} top="12px">
          <BenchAnswer input={resting} on={on} set={set} onStart={start} />
          <RateTable input={resting} on={on} />
        </Box>
      </Box>
    </>
  ); // prettier-ignore
}
