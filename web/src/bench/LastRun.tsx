import { memo } from 'react';
import { UNITS } from '@steady-scatter/core/quantities';
import { methodOf, runLine, unitsOf, type CalibrationInput } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';
import { Section } from '../ui/Section.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import type { CalibrationContext } from './calibrationContext.ts';
import { StripDrawing } from './run/StripDrawing.tsx';

const withUnit = (text: string | undefined, symbol: string) => (!text ? '' : /[a-z'"]/i.test(text) ? text : `${text} ${symbol}`); // prettier-ignore

/** The last run as a line of arithmetic, with its strip. */
export const LastRun = memo(function LastRunOf({
  input,
  on,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
}) {
  const index = input.runs.findLastIndex(({ excluded, step }) => excluded === '' && step === '');
  const run = input.runs[index];
  const read = on.reading.runs[index];
  if (!run || !read?.worked) return null;
  return (
    <Section heading={say('bench.lastRun', { number: index + 1, setting: run.setting || 'none' })}>
      <WorkingLine
        working={runLine(run, read, input, on.bench)}
        names={{ rate: say('testRun.result.rate') }}
      />
      {read.lengthM !== null && (
        <StripDrawing
          lengthM={read.lengthM}
          widthM={on.reading.widthM}
          length={withUnit(
            run.readings['length'] ?? run.readings['course'],
            UNITS[unitsOf(run, input).length].symbol,
          )}
          width={withUnit(input.width.text, UNITS[input.width.unit].symbol)}
          inside={withUnit(run.readings['time'] ?? run.readings['courseTime'], 's')}
          passes={read.passes}
          standing={methodOf(run.method).planned === 'time'}
        />
      )}
    </Section>
  );
});
