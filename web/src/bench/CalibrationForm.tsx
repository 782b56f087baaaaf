import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { DocFormWithWayOn } from '../documents/DocPage.tsx';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { NotesField } from '../ui/formParts.tsx';
import { AimFields } from './AimFields.tsx';
import { AimSummary } from './AimSummary.tsx';
import { BenchAnswer } from './BenchAnswer.tsx';
import { calibrationContext, useMachineShelf } from './calibrationContext.ts';
import { LastRun } from './LastRun.tsx';
import { RateTable } from './RateTable.tsx';
import { Rounds } from './Rounds.tsx';
import { SignOff } from './SignOff.tsx';

/** A calibration: what is wanted, its rounds, and the mark to set with the reason. */
export function CalibrationForm(props: DocFormWithWayOn<CalibrationInput> & { id: string | null }) {
  const { input, errorAt, onChange, bind, keepThen, id } = props;
  const shelf = useMachineShelf(input.rig);
  const on = useMemo(() => calibrationContext(input, shelf, id), [input, shelf, id]);
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(id === null);
  // Marks are known where the machine is: its errors come from here.
  const errorIn = (field: string): InputError | undefined =>
    errorAt(field) ??
    on.reading.errors.find((error) => error.field === field && !error.code.endsWith('.empty'));
  const isWrong = on.reading.errors.some(
    ({ field }) => !field.startsWith('runs.') && !field.startsWith('name'),
  );
  const start = () => keepThen((kept) => void navigate(`/bench/${kept}/run`));
  useCommands([{ id: 'start-round', label: 'Start a round, or go on with it', keys: 'Alt+S', run: start }]);
  const fields: typeof props = {
    ...props,
    errorAt: errorIn,
    field: (path) => ({ ...bind(path), error: errorIn(path) }),
  };
  return (
    <>
      {isOpen || isWrong || errorIn('name') ? (
        <>
          <AimFields {...fields} shelf={shelf} on={on} id={id} />
          {id !== null && !isWrong && (
            <Button variant="ghost" minHeight="44px" marginTop="-18px" marginLeft="-12px" onClick={() => setOpen(false)}>
              Done
            </Button>
          )}
        </>
      ) : (
        <AimSummary input={input} on={on} onOpen={() => setOpen(true)} />
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
        gap={{ base: '18px', lg: '32px' }}
        alignItems="start"
        onKeyDown={goOnWithEnter}
      >
        <Box minWidth={0} order={{ base: 2, lg: 1 }}>
          <LastRun input={input} on={on} />
          <Rounds {...fields} on={on} id={id} />
          <SignOff input={input} on={on} onChange={onChange} />
          <NotesField label="Notes" {...bind('notes')} />
        </Box>
        <Box minWidth={0} order={{ base: 1, lg: 2 }} display="grid" gap="20px">
          <BenchAnswer input={input} on={on} onChange={onChange} onStart={start} />
          <RateTable input={input} on={on} />
        </Box>
      </Box>
    </>
  ); // prettier-ignore
}
