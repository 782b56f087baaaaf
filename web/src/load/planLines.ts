import type { AreaRun } from '@steady-scatter/core/runSheet';
import { areaUnitFor } from '@steady-scatter/core/fields';
import type { LengthUnit } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/load';
import { shownIn } from '../units/shownIn.ts';
import { durationText, flagsText, lengthText } from './texts.ts';
import type { RunOfSheet } from './useRunSheet.ts';

/** Less than this beside the field is not worth a word, as a share of it. */
const OFF = 0.02;

/** Where flags stand along the edge, for each direction. */
function flagLines({ plan }: AreaRun, unit: LengthUnit): string[] {
  const lanes = plan.pieces.flatMap((piece, index) =>
    piece.lanes.map((each, direction) => ({ ...each, number: index + 1, isSecond: direction > 0 })),
  );
  return lanes.flatMap(({ flags, number, isSecond }) => {
    if (flags.length < 2) return [];
    const marks = flagsText(flags.map(({ atM }) => lengthText(atM, unit)));
    return [
      lanes.length === 1
        ? say('load.plan.flags', { marks })
        : say('load.plan.flagsOf', { what: isSecond ? 'second' : 'part', number, marks }),
    ];
  });
}

/** What is to be known of the passes of an area, in sentences. */
export function planLines(run: AreaRun, { sheet }: Pick<RunOfSheet, 'sheet'>, unit: LengthUnit): string[] {
  const { plan, time } = run;
  const rounds = Math.max(0, ...plan.legs.flatMap(({ zone, number }) => (zone === 'trim' ? [number] : [])));
  const overlapM = Math.max(0, ...plan.pieces.flatMap(({ lanes }) => lanes.map((each) => each.overlapM)));
  return [
    say('load.plan.is', {
      passes: plan.passes,
      spacing: lengthText(plan.spacingM, unit),
      trims: rounds,
      walked: lengthText(time?.walkedM ?? 0, unit),
      time: durationText(time?.seconds ?? 0),
    }),
    ...flagLines(run, unit),
    ...(overlapM > 0.05 * plan.spacingM
      ? [say('load.plan.overlap', { overlap: lengthText(overlapM, unit) })]
      : []),
    ...(time && time.unfedM > 1.5 * plan.spacingM * plan.legs.length
      ? [say('load.plan.unfed', { unfed: lengthText(time.unfedM, unit) })]
      : []),
    ...(sheet.trims > 0 && plan.pieces.some(({ isNarrow }) => isNarrow) ? [say('load.plan.narrow')] : []),
    ...(plan.offM2 > OFF * plan.areaM2
      ? [say('load.plan.off', { area: shownIn(plan.offM2, areaUnitFor(unit), 2) })]
      : []),
  ];
}
