import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { showExact, showQuantity } from '@steady-scatter/core/quantities';
import { combinedCourses } from '@steady-scatter/core/wet';
import { evaluateSpray } from '@steady-scatter/core/machines';
import { USUAL_PACE } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';
import type { StepProps } from '../run/steps.ts';

/** Of a machine that spreads and sprays at once: the throw is set first by a marker, and granules are caught for half the time of the spray course. */
export function CombinedAim({ input, run, step, on }: StepProps) {
  if (on.bench.kind !== 'spread-and-spray' || on.bench.spray || (step.id !== 'set' && step.id !== 'walk')) return null;
  const { widthM } = on.rig ? evaluateSpray(on.rig.spray, on.rig.kind) : { widthM: null };
  if (widthM === null) return <Box fontSize="16px">{say('bench.combined.lacksWidth')}</Box>;
  const { length } = input.units;
  const text = (m: number) => {
    const { number, unit } = showQuantity(m, length, 3);
    return `${number} ${unit}`;
  };
  if (step.id === 'set')
    return (
      <Box fontSize="17px" marginTop="10px">
        {say('bench.combined.throw', { control: on.rig?.second.name || say('bench.aim.second'), reach: text(widthM), throw: text(2 * widthM) })}
      </Box>
    );
  const readings = on.reading.runs.find(({ id }) => id === run.id);
  const speedMPerS = readings?.worked?.paceMPerS ?? on.reading.paceMPerS ?? USUAL_PACE;
  const areaM2 = (readings?.lengthM ?? 0) * widthM;
  const courses = toResult(() => combinedCourses({ sprayM: widthM, speedMPerS, areaM2 })).value;
  return courses && (
    <Box fontSize="17px">
      {say('bench.combined.catch', { seconds: showExact(Number(courses.granularS.toFixed(1))), course: text(courses.granularCourseM), spray: text(courses.sprayCourseM) })}
    </Box>
  );
} // prettier-ignore
