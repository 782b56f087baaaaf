import { Box, Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import {
  aimOf,
  nextRun,
  openRunOf,
  runOfOpen,
  stepsOf,
  type CalibrationAim,
  type CalibrationInput,
  type MethodId,
  type OpenRunInput,
  type RunInput,
  type Step,
} from '@steady-scatter/core/testing';
import { useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { nameOf, say } from '@steady-scatter/words/bench';
import { useDoc, type Doc } from '../../documents/docs.ts';
import { Message } from '../../ui/Message.tsx';
import { OpeningMessage } from '../../documents/OpeningMessage.tsx';
import { Section } from '../../ui/Section.tsx';
import { today } from '../../ui/today.ts';
import {
  calibrationContext,
  useMachineShelf,
  type BenchShelf,
  type CalibrationContext,
} from '../calibrationContext.ts';
import { AIMS, CALIBRATIONS, OPEN_RUNS } from '../../kinds/useCalibrations.ts';
import { ChooseMethod } from './ChooseMethod.tsx';
import { RunSteps } from './RunSteps.tsx';
import { TestRunResult } from './TestRunResult.tsx';
import { RunFrame, RunNote } from './RunFrame.tsx';
import { useLiveDocument, type Live } from './useLiveDocument.ts';
import { beginOpenRun, hasEnded, isUnderWay, useEndRun } from './useOpenRun.ts';
import { oneOf } from '@steady-scatter/words/things';

/** Where product begins to run moves the mark of a first, cautious run. */
function markAfterFlow(input: CalibrationInput, id: string, run: RunInput, shelf: BenchShelf): string {
  return calibrationContext(input, shelf, id).reading.nextMark?.label ?? run.setting;
}

function useErrors(on: CalibrationContext, tried: boolean) {
  return (field: string): InputError | undefined =>
    on.reading.errors.find((error) => error.field === field && (tried || !error.code.endsWith('.empty')));
}

/** Begins the next run of a calibration and opens it. */
function useBegin(id: string) {
  const navigate = useNavigate();
  return (input: CalibrationInput, on: CalibrationContext, method: MethodId) => {
    const mark = on.reading.nextMark?.label ?? null;
    const run = nextRun(input, method, on.bench.outlets, { id: newId(), onDay: today(), mark });
    void beginOpenRun(run.id, openRunOf(run, id, input));
    void navigate(`/bench/${id}/run/${run.id}`, { replace: true });
    window.scrollTo({ top: 0 });
  };
}

type Aim = Live<CalibrationAim>;

interface OfCalibration {
  /** The calibration as it stands on the server. */
  doc: Doc<CalibrationInput>;
  /** What is wanted, as it is being changed here. */
  aim: Aim;
}

/** From what is at hand to how the next run is made; or on with one that is under way. */
function Begin({ doc, aim }: OfCalibration) {
  const [asked] = useSearchParams();
  const shelf = useMachineShelf(aim.input.rig);
  const { runs } = doc.input;
  const input = useMemo(() => ({ ...aim.input, runs }), [aim.input, runs]);
  const on = calibrationContext(input, shelf, doc.id);
  const begin = useBegin(doc.id);
  const end = useEndRun(doc.id);
  const open = runs.filter(isUnderWay);
  if (open.length === 1 && !asked.has('another'))
    return <Navigate replace to={`/bench/${doc.id}/run/${open[0]!.id}`} />;
  const number = runs.length + 1;
  return (
    <RunFrame id={doc.id} name={input.name} number={number} method={null} hasFoot={false} note={<RunNote calibration={doc.id} of={[aim]} />}>
      {open.length > 0 && (
        <Section heading={say('testRun.page.underWay')}>
          {open.map(({ id, setting, method }) => (
            <Button key={id} asChild minHeight="56px" marginRight="10px">
              <Link to={`/bench/${doc.id}/run/${id}`}>{say('testRun.page.goOn', { setting: setting || say('testRun.page.itsMark'), method: nameOf('method', method) })}</Link>
            </Button>
          ))}
        </Section>
      )}
      <ChooseMethod
        input={input}
        on={on}
        number={number}
        onTools={(tools) => aim.type({ ...aim.input, tools })}
        onBegin={(method) => {
          aim.commit(aim.input);
          // What was seen through to its result and left there is done.
          for (const run of runs) if (run.step === 'result') end.finish(run, aim.input);
          begin(input, on, method);
        }}
      />
    </RunFrame>
  ); // prettier-ignore
}

/** A run on its way: its steps, and what it came to. */
function LiveRun({ doc, aim, open }: OfCalibration & { open: Doc<OpenRunInput> }) {
  const { id } = doc;
  const live = useLiveDocument(OPEN_RUNS, open);
  const shelf = useMachineShelf(aim.input.rig);
  const run = useMemo(() => runOfOpen(open.id, live.input), [open.id, live.input]);
  const { runs } = doc.input;
  const index = runs.some((each) => each.id === run.id)
    ? runs.findIndex((each) => each.id === run.id)
    : runs.length;
  const input = useMemo(
    () => ({ ...aim.input, runs: [...runs.slice(0, index), run, ...runs.slice(index + 1)] }),
    [aim.input, runs, run, index],
  );
  const on = useMemo(() => calibrationContext(input, shelf, id), [input, shelf, id]);
  const begin = useBegin(id);
  const end = useEndRun(id);
  const navigate = useNavigate();
  const [tried, setTried] = useState(false);
  const errorAt = useErrors(on, tried);
  const isDone = run.step === 'result';
  const commit = (more: Partial<RunInput>) => {
    live.commit({ ...live.input, ...more } as OpenRunInput);
    aim.commit(aim.input);
  };
  const leave = () => void navigate(`/bench/${id}`);
  return (
    <RunFrame id={id} name={input.name} number={index + 1} method={run.method} hasFoot={!isDone} note={<RunNote calibration={id} of={[live, aim]} />}>
      {isDone ? (
        <TestRunResult
          input={input}
          run={run}
          at={index}
          on={on}
          onChange={(next) => {
            const { note, excluded } = next.runs[index]!;
            if (note !== run.note || excluded !== run.excluded) live.commit({ ...live.input, note, excluded });
            if (next !== input) aim.commit(aimOf(next));
          }}
          onRedo={() => commit({ noFlow: false, step: 'before' })}
          onNext={() => {
            end.finish(run, aim.input);
            begin(input, on, run.method);
          }}
          onDone={() => {
            end.finish(run, aim.input);
            leave();
          }}
        />
      ) : (
        <>
          <RunSteps
            input={input}
            run={run}
            at={index}
            on={on}
            steps={stepsOf(run.method, on.bench.outlets, on.bench.kind, on.product?.kind ?? null)}
            errorAt={errorAt}
            onType={(more) => live.type({ ...live.input, ...more } as OpenRunInput)}
            onFirstFlow={(firstFlow) => {
              aim.type({ ...aim.input, firstFlow });
              live.type({ ...live.input, setting: markAfterFlow({ ...input, firstFlow }, id, run, shelf) });
            }}
            onGo={(step: Step['id'] | 'result') => {
              setTried(false);
              commit({ step });
              window.scrollTo({ top: 0 });
            }}
            onNothing={() => commit({ noFlow: true, step: 'result' })}
            onTried={() => setTried(true)}
          />
          <Box display="flex" flexWrap="wrap" columnGap="8px" marginTop="24px" marginLeft="-12px">
            <Button
              variant="ghost"
              minHeight="44px"
              onClick={() => {
                end.breakOff(run, aim.input, open.version > 0);
                leave();
              }}
            >{say('testRun.page.cancel')}</Button>
            <Button asChild variant="ghost" minHeight="44px">
              <Link to={`/bench/${id}/run?another`}>{say('testRun.page.beginOther')}</Link>
            </Button>
          </Box>
        </>
      )}
    </RunFrame>
  ); // prettier-ignore
}

/** A run by its id: on its way, done meanwhile, or nowhere. */
function OneRun({ runId, ...of }: OfCalibration & { runId: string }) {
  const { data: doc, error, refetch } = useDoc(OPEN_RUNS, runId);
  const { id, input } = of.doc;
  const done = input.runs.findIndex((each) => each.id === runId && each.step === '');
  // It ended here: the page that comes next is on its way.
  if (hasEnded(runId)) return null;
  if (done >= 0)
    return (
      <Message
        heading={say('testRun.page.done', { number: done + 1 })}
        text={say('testRun.page.doneElsewhere')}
        to={`/bench/${id}`}
        act={say('testRun.frame.toBench')}
      />
    );
  if (doc) return <LiveRun key={runId} {...of} open={doc} />;
  return <OpeningMessage one={oneOf(OPEN_RUNS.kind.name)} home={{ path: `/bench/${id}`, label: say('testRun.page.itsCalibration') }} error={error} onAgain={() => void refetch()} />; // prettier-ignore
}

function OfOne({ doc, runId }: { doc: Doc<CalibrationInput>; runId: string | null }) {
  const stored = useMemo(() => ({ ...doc, input: aimOf(doc.input) }), [doc]);
  const aim = useLiveDocument(AIMS, stored);
  return runId === null ? <Begin doc={doc} aim={aim} /> : <OneRun doc={doc} aim={aim} runId={runId} />;
}

/** A guided run of a calibration, opened by the id of the calibration, and of the run where there is one. */
export default function RunPage() {
  const { id = null, run = null } = useParams();
  const { data, error, refetch } = useDoc(CALIBRATIONS, id);
  if (data) return <OfOne key={data.id} doc={data} runId={run} />;
  return (
    <OpeningMessage
      one={oneOf(CALIBRATIONS.kind.name)}
      home={CALIBRATIONS.home}
      error={error}
      onAgain={() => void refetch()}
    />
  );
}
