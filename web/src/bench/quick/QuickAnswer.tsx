import { Box, Button } from '@chakra-ui/react';
import { showExact, textWithUnit, UNITS } from '@steady-scatter/core/quantities';
import {
  NO_RIG,
  runLine,
  showRate,
  showRun,
  type CalibrationInput,
  type QuickResult,
} from '@steady-scatter/core/testing';
import { MISSING } from '@steady-scatter/core/working';
import { say } from '@steady-scatter/words/bench';
import { BigNumber } from '../../ui/BigNumber.tsx';
import { WorkingLine } from '../../ui/WorkingLine.tsx';
import { StripDrawing } from '../run/StripDrawing.tsx';

interface Props {
  input: CalibrationInput;
  result: QuickResult;
  /** The run that is typed. */
  at: number;
  onOpen(at: number): void;
}

/** What the number rests on, and what would make it surer. */
function bandText({ mean }: QuickResult, band: string): string {
  if (!mean) return say('bench.quick.lacks');
  const percent = `${showExact(mean.uRelative * 100, 2)} %`;
  return mean.runs === 1
    ? say('bench.quick.oneRun', { band, percent })
    : say('bench.quick.mean', { band, percent, runs: mean.runs });
}

/** Every run with its rate, once there are two. */
const RunList = ({ input, result, at, onOpen }: Props) => (
  <Box as="ul" listStyleType="none" aria-label={say('bench.quick.runs')} marginTop="8px">
    {result.runs.map((run, index) => {
      const shown = showRun(run, input.target.unit);
      return (
        <Box as="li" key={run.id}>
          <Button
            variant="ghost"
            minHeight="44px"
            marginLeft="-12px"
            aria-current={index === at ? 'true' : undefined}
            fontWeight={index === at ? 'bold' : 'normal'}
            onClick={() => onOpen(index)}
          >
            {say('bench.quick.run', {
              number: index + 1,
              rate: shown ? `${shown.number} ${shown.unit}` : 'none',
            })}
          </Button>
        </Box>
      );
    })}
  </Box>
);

/** The rate with its band, the line of arithmetic, and the strip to scale. */
export function QuickAnswer(props: Props) {
  const { input, result, at } = props;
  const { mean, widthM } = result;
  const { unit } = input.target;
  const shown = mean && showRate(mean.rateSi, mean.uRelative, unit);
  const run = input.runs[at]!;
  const read = result.runs[at]!;
  const { length } = input.units;
  return (
    <Box as="section" aria-label={say('bench.quick.answer')}>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('bench.quick.rate')}
      </Box>
      <BigNumber number={shown?.number ?? MISSING} unit={UNITS[unit].symbol} live />
      <Box fontSize="17px" marginTop="8px" minHeight="52px">
        {bandText(result, shown?.band ?? '')}
      </Box>
      {read.worked && (
        <Box marginTop="6px">
          <WorkingLine
            working={runLine(run, read, input, NO_RIG)}
            names={{ rate: say('testRun.result.rate') }}
            size="plain"
          />
        </Box>
      )}
      {input.runs.length > 1 && <RunList {...props} />}
      {run.method !== 'run-out' && read.lengthM !== null && (
        <Box marginTop="14px">
          <StripDrawing
            lengthM={read.lengthM}
            widthM={widthM}
            length={textWithUnit(run.readings['length'] ?? run.readings['course'] ?? '', length)}
            width={textWithUnit(input.width.text, length)}
            inside=""
            passes={read.passes}
            standing={run.method === 'timed-catch'}
          />
        </Box>
      )}
    </Box>
  );
}
