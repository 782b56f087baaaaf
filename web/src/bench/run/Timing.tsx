import { Box, Button } from '@chakra-ui/react';
import { showExact } from '@steady-scatter/core/quantities';
import { practice, timeToAim, type MethodField } from '@steady-scatter/core/testing';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import type { StepProps } from './steps.ts';
import { Stopwatch } from './Stopwatch.tsx';

/** The first time that is still missing takes what the watch says. */
const nextTime = (times: readonly MethodField[], readings: StepProps['run']['readings']): MethodField =>
  times.find(({ id }) => !readings[id]?.trim()) ?? times.at(-1)!;

const CATCH_ENDS = [say('testRun.timing.open'), say('testRun.timing.shut')] as const;

/** Times by the watch, or typed; and a pace practised first. */
export function Timing(props: StepProps & { times: readonly MethodField[] }) {
  const { input, run, at, on, times, listens, onType } = props;
  const [practising, setPractising] = useState(false);
  const [walks, setWalks] = useState<readonly number[]>([]);
  const { lengthM } = on.reading.runs[at] ?? { lengthM: null };
  const isCatch = times.some(({ id }) => id === 'catchTime' || id === 'fillTime');
  const next = nextTime(times, run.readings);
  const aimS = timeToAim(input, run, at, on.reading, next);
  const place =
    times.length > 1
      ? say('testRun.timing.which', { number: times.indexOf(next) + 1, count: times.length })
      : '';
  return (
    <Box>
      {practising ? (
        <>
          <Stopwatch
            key="practice"
            storeKey={`steady-scatter.practice.${run.id}`}
            aimS={aimS}
            running
            listens={listens}
            label={say('testRun.timing.practiceLabel')}
            onLap={(seconds) => setWalks((before) => [...before, seconds])}
          />
          <Box fontSize="17px" marginTop="8px" aria-live="polite">
            {lengthM === null ? say('testRun.timing.lacksCourse') : speak(practice(lengthM, walks, aimS))}
          </Box>
          <Button minHeight="touch" marginTop="8px" onClick={() => setPractising(false)}>{say('testRun.timing.real')}</Button>
        </>
      ) : (
        <>
          <Stopwatch
            key={next.id}
            storeKey={`steady-scatter.watch.${run.id}.${next.id}`}
            listens={listens}
            aimS={aimS}
            ends={isCatch ? CATCH_ENDS : undefined}
            label={place}
            onLap={(seconds) => onType({ readings: { ...run.readings, [next.id]: `${showExact(Number(seconds.toFixed(1)), 6)} s` } })}
          />
          {!isCatch && (
            <Button variant="ghost" minHeight="touch" onClick={() => { setWalks([]); setPractising(true); }}>{say('testRun.timing.practice')}</Button>
          )}
        </>
      )}
    </Box>
  ); // prettier-ignore
}
