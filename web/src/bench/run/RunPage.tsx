import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import {
  blankRun,
  methodOf,
  METHODS,
  stepsOf,
  type CalibrationInput,
  type MethodId,
  type RunInput,
  type Step,
} from '@steady-scatter/core/testing';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCommands } from '../../commands/CommandsProvider.tsx';
import { useDoc, type Doc } from '../../documents/docs.ts';
import { CommandButton } from '../../ui/CommandButton.tsx';
import { goOnWithEnter } from '../../ui/goOnWithEnter.ts';
import { OpeningMessage } from '../../ui/OpeningMessage.tsx';
import { today } from '../../ui/today.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import {
  calibrationContext,
  useBenchShelf,
  type BenchShelf,
  type CalibrationContext,
} from '../calibrationContext.ts';
import { HandOver } from '../HandOver.tsx';
import { CALIBRATIONS } from '../useCalibrations.ts';
import { ArrowLeft } from 'lucide-react';
import { ChooseMethod } from './ChooseMethod.tsx';
import { KeptNote } from './KeptNote.tsx';
import { TestRunResult } from './TestRunResult.tsx';
import { RunSteps } from './RunSteps.tsx';
import { useLiveDoc } from './useLiveDoc.ts';

/** A new run at the mark that is advised, with what stays the same from the last one of its method. */
function newRun(input: CalibrationInput, on: CalibrationContext, method: MethodId): RunInput {
  const last = input.runs.findLast((run) => run.method === method);
  const same = ['length', 'course', 'passes', 'area', 'tare', 'content', 'courseTime', 'courseTime.2', 'courseTime.3']; // prettier-ignore
  const fields = new Set(methodOf(method).fields(on.bench.outlets).map(({ id }) => id)); // prettier-ignore
  const readings = Object.fromEntries(
    same.flatMap((id) => (fields.has(id) && last?.readings[id] ? [[id, last.readings[id]]] : [])),
  );
  return {
    ...blankRun(newId(), today(), method),
    setting: on.reading.advice?.mark.label ?? last?.setting ?? '',
    readings,
    container: last?.container ?? '',
    // Looked over once a day.
    checked: last?.onDay === today() ? last.checked : [],
    width: input.width.text.trim() === '' ? null : input.width,
    step: last?.onDay === today() && last.checked.length > 0 ? 'set' : 'checks',
  };
}

/** Where product begins to run moves the mark of a first, cautious run. */
function withFlow(input: CalibrationInput, id: string, run: RunInput, at: number, firstFlow: string, shelf: BenchShelf): CalibrationInput {
  const next = { ...input, firstFlow };
  const mark = calibrationContext(next, shelf, id).reading.advice?.mark.label ?? run.setting;
  return { ...next, runs: next.runs.with(at, { ...run, setting: mark }) };
} // prettier-ignore

function useErrors(on: CalibrationContext, tried: boolean) {
  return (field: string): InputError | undefined =>
    on.reading.errors.find((error) => error.field === field && (tried || !error.code.endsWith('.empty')));
}

/** A round on its way: choosing how, its steps, what it came to. */
function LiveRun({ doc }: { doc: Doc<CalibrationInput> }) {
  const live = useLiveDoc(CALIBRATIONS, doc);
  const { input, commit, type } = live;
  const shelf = useBenchShelf();
  const on = calibrationContext(input, shelf, doc.id);
  const navigate = useNavigate();
  const [tried, setTried] = useState(false);
  const errorAt = useErrors(on, tried);
  const at = input.runs.findLastIndex(({ step }) => step !== '');
  const run = input.runs[at];
  const round = input.runs.length + (run ? 0 : 1);
  const set = (more: Partial<RunInput>): CalibrationInput => ({ ...input, runs: input.runs.with(at, { ...run!, ...more }) }); // prettier-ignore
  const begin = (method: MethodId, before: CalibrationInput = input) => {
    setTried(false);
    commit({ ...before, runs: [...before.runs, newRun(before, on, method)] });
  };
  const leave = () => void navigate(`/bench/${doc.id}`);
  useCommands([{ id: 'leave-run', label: 'Back to the bench', keys: 'Alt+B', run: leave }]);
  const steps = run ? stepsOf(run.method, on.bench.outlets, on.bench.kind, on.product?.kind ?? null) : [];
  const go = (step: Step['id'] | 'result') => {
    setTried(false);
    commit(set({ step }));
    window.scrollTo({ top: 0 });
  };
  return (
    <>
      <title>{`Round ${round} · ${input.name} · Steady Scatter`}</title>
      <TopBar
        acts={
          <>
            <HandOver path={`/bench/${doc.id}/run`} />
            <CommandButton icon={ArrowLeft} label="To the bench" onClick={leave} />
          </>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {input.name}
        </chakra.h1>
        <chakra.span fontSize="16px" color="ink.soft">
          round {round}
          {run ? `, ${METHODS[run.method].words}` : ''}
        </chakra.span>
        <KeptNote state={live.state} onTheirs={() => void live.takeTheirs()} onMine={() => void live.keepMine()} />
      </TopBar>
      <Box as="main" id="main" padding={{ base: run && run.step !== 'result' ? '4px 16px 110px' : '4px 16px 24px', md: '8px 24px 32px' }} onKeyDown={goOnWithEnter}>
        {!run && (
          <ChooseMethod input={input} on={on} round={round} onTools={(tools) => type({ ...input, tools })} onBegin={begin} />
        )}
        {run && run.step !== 'result' && (
          <RunSteps
            input={input}
            run={run}
            at={at}
            on={on}
            steps={steps}
            errorAt={errorAt}
            onType={(more) => type(set(more))}
            onFirstFlow={(firstFlow) => type(withFlow(input, doc.id, run, at, firstFlow, shelf))}
            onGo={go}
            onNothing={() => commit(set({ noFlow: true, step: 'result' }))}
            onTried={() => setTried(true)}
          />
        )}
        {run?.step === 'result' && (
          <TestRunResult
            input={input}
            run={run}
            at={at}
            on={on}
            onChange={commit}
            onRedo={() => commit(set({ noFlow: false, step: 'before' }))}
            onNext={() => begin(run.method, set({ step: '' }))}
            onDone={() => {
              commit(set({ step: '' }));
              leave();
            }}
          />
        )}
        {run && run.step !== 'result' && (
          <Button variant="ghost" minHeight="44px" marginTop="24px" marginLeft="-12px" onClick={() => { commit(set({ step: '', excluded: run.excluded || 'broken off' })); leave(); }}>
            Break this round off
          </Button>
        )}
      </Box>
    </>
  ); // prettier-ignore
}

/** A guided run of a calibration, opened by its id. */
export default function RunPage() {
  const { id = null } = useParams();
  const { data, error, refetch } = useDoc(CALIBRATIONS, id);
  // Asked for together with the calibration itself, not after it.
  useBenchShelf();
  if (data) return <LiveRun key={data.id} doc={data} />;
  return (
    <OpeningMessage
      one={CALIBRATIONS.kind.words.one}
      home={CALIBRATIONS.home}
      error={error}
      onAgain={() => void refetch()}
    />
  );
}
