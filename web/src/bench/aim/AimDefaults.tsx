import { Box } from '@chakra-ui/react';
import { rigKind, type RigKind } from '@steady-scatter/core/machines';
import {
  isUnitOf,
  textWithUnit,
  UNITS,
  type LengthUnit,
  type MassUnit,
} from '@steady-scatter/core/quantities';
import { isSprayed, STARTS, type BenchRateUnit } from '@steady-scatter/core/testing';
import { useLayoutEffect, useRef } from 'react';
import { nameOf, say } from '@steady-scatter/words/bench';
import { asChoice, isWrongAt } from '../../documents/fields.ts';
import { latestAccepted, useWidthTests } from '../../kinds/useWidthTests.ts';
import { LENGTH_CHOICES } from '../../sites/units.ts';
import { Choice } from '../../ui/Choice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { HAND_WEIGHTS, unitChoices } from '../../ui/unitChoices.ts';
import { LANE_RATE_CHOICES, RATE_CHOICES, ROW_RATE_CHOICES } from '../../units/units.ts';
import { SPRAY_RATE_CHOICES } from '../spray/SprayResult.tsx';
import type { AimProps } from './aimProps.ts';
import {
  firstText,
  paceSaid,
  productText,
  scaleStepText,
  toleranceText,
  unitsText,
  widthText,
} from './aimTexts.ts';
import { LabelLines } from './LabelLines.tsx';

const WEIGHTS = unitChoices(HAND_WEIGHTS);
const BY = [
  { id: 'chosen', label: say('bench.aim.planned') },
  { id: 'measured', label: say('bench.aim.measured') },
] as const;
const LIMIT = [
  { id: 'no', label: say('bench.aim.goal') },
  { id: 'yes', label: say('bench.aim.limit') },
] as const;
const CAUGHT = [
  { id: 'water', label: say('bench.spray.water') },
  { id: 'mix', label: say('bench.spray.mix') },
] as const;
const DENSITIES = unitChoices(['kg/L', 'g/L', 'lb/gal']);
const WIDTH_LABELS = {
  hopper: say('bench.aim.hopperWidth'),
  passes: say('bench.aim.passSpacing'),
  rows: say('bench.aim.rowSpacing'),
};

/** Rates that a machine is asked for: on the ground, and on a length of what it treats; the one that stands is among them. */
function rateChoices(kind: RigKind | null, stands: BenchRateUnit): readonly BenchRateUnit[] {
  if (isUnitOf('volumePerArea', stands)) return SPRAY_RATE_CHOICES;
  const treats = kind ? rigKind(kind).treats : [];
  const offered: readonly BenchRateUnit[] = [
    ...RATE_CHOICES,
    ...(treats.includes('rows') ? ROW_RATE_CHOICES : []),
    ...(treats.includes('lanes') ? LANE_RATE_CHOICES : []),
  ];
  return offered.includes(stands) ? offered : [...offered, stands];
}

/** The step of the scale that this machine was weighed with last; null: none was stated. */
const lastScaleStep = ({ shelf, id }: AimProps): string | null =>
  shelf.calibrations.findLast((each) => each.id !== id && each.input.scaleStep.trim() !== '')?.input
    .scaleStep ?? null;

/** The scale that the machine was weighed with last is taken once, as soon as it is known; not from under the hand of whoever is at the field. */
function useLastScaleStep(props: AimProps): { readonly last: string | null; onFocus(): void } {
  const { input, id, set } = props;
  const last = lastScaleStep(props);
  const filledFor = useRef('');
  // Shown in the same breath: between what is taken and what is seen nobody gets to the field.
  useLayoutEffect(() => {
    if (id !== null || last === null || filledFor.current === input.rig) return;
    filledFor.current = input.rig;
    if (input.scaleStep === '') set('scaleStep', last);
  }, [id, last, input.rig, input.scaleStep, set]);
  const onFocus = () => {
    filledFor.current = input.rig;
  };
  return { last, onFocus };
}

function WidthDefault({ input, on, bind, field, errorAt }: AimProps) {
  const { data: tests = [] } = useWidthTests();
  const spread = on.rig ? rigKind(on.rig.kind).width : 'passes';
  const label =
    on.reading.dimension === 'massPerLaneLength' ? say('bench.aim.laneWidth') : WIDTH_LABELS[spread];
  return (
    <StatedDefault
      name={say('bench.part.width')}
      text={widthText(input, on.rig, latestAccepted(tests, input.rig)?.input.accepted ?? null)}
      isWrong={errorAt('width.text') !== undefined || (input.rig !== '' && input.width.text.trim() === '')}
    >
      <LabelledField
        label={label}
        placeholder={spread === 'rows' ? '1.5 m, or 6600 m/ha' : '9 ft'}
        {...field('width.text')}
      />
      <Choice label={say('bench.aim.widthIs')} options={BY} {...bind('width.by')} />
    </StatedDefault>
  );
}

function FirstSetting(props: AimProps) {
  const { input, on, bind, shelf, id } = props;
  const others = shelf.calibrations.filter(
    (other) => other.id !== id && other.input.rig === input.rig && input.rig !== '',
  );
  return (
    <StatedDefault name={say('bench.part.first')} text={firstText(input, on)}>
      <Choice
        label={say('bench.aim.first')}
        options={STARTS.map((start) => ({ id: start, label: nameOf('start', start) }))}
        {...bind('start')}
      />
      {(input.start === 'shape' || others.length > 0) && (
        <Choice
          label={say('bench.aim.shape')}
          options={[
            { id: '', label: say('bench.aim.noShape') },
            ...others.map((other) => ({ id: other.id, label: other.input.name })),
          ]}
          {...bind('shape')}
        />
      )}
      <Box gridColumn="1 / -1">
        <LabelLines {...props} />
      </Box>
    </StatedDefault>
  );
}

/** What is caught of a sprayer in its tests, and how dense the mix is that it will spray. */
function Caught(props: AimProps) {
  const { input, bind, field } = props;
  const { text, unit } = input.mixDensity;
  return (
    <StatedDefault
      name={say('bench.part.caught')}
      text={say('bench.spray.caughtIs', { caught: input.caughtWith, density: text.trim() === '' ? 'none' : textWithUnit(text, unit) })}
      isWrong={isWrongAt(props, 'mixDensity.text')}
    >
      <Choice label={say('bench.spray.caughtWith')} options={CAUGHT} {...bind('caughtWith')} />
      <LabelledField label={say('bench.spray.density')} placeholder="1.08" inputMode="decimal" {...field('mixDensity.text')} />
      <Choice label={say('bench.spray.densityUnit')} options={DENSITIES} {...bind('mixDensity.unit')} />
    </StatedDefault>
  );
} // prettier-ignore

function UnitsDefault({ input, on, bind, set }: AimProps) {
  return (
    <StatedDefault name={say('bench.part.units')} text={unitsText(input)}>
      <Choice<MassUnit> label={say('bench.aim.massUnit')} options={WEIGHTS} {...bind('units.mass')} />
      <Choice<LengthUnit>
        label={say('bench.aim.lengthUnit')}
        value={input.units.length}
        options={LENGTH_CHOICES}
        onChange={(length) => {
          set('units.length', length);
          set('width.unit', length);
          set('pace.unit', length);
        }}
      />
      <Choice<BenchRateUnit>
        label={say('bench.aim.rateUnit')}
        options={rateChoices(on.rig?.kind ?? null, input.target.unit).map((unit) => ({
          id: unit,
          label: UNITS[unit].symbol,
        }))}
        {...bind('target.unit')}
      />
    </StatedDefault>
  );
}

/** Everything else of a calibration: what is taken, where from, and a way to change each. */
export function AimDefaults(props: AimProps) {
  const { input, on, bind, field } = props;
  const { last: lastStep, onFocus: onScaleStep } = useLastScaleStep(props);
  const second = on.bench.second.marks;
  const sprays = isSprayed(on.reading.dimension);
  return (
    <Box as="section" aria-label={say('bench.aim.assumed')} marginBottom="18px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('bench.aim.assumed')}
      </Box>
      <WidthDefault {...props} />
      <StatedDefault
        name={say('bench.part.pace')}
        text={paceSaid(input, on.rig)}
        isWrong={isWrongAt(props, 'pace.course', 'pace.time')}
      >
        <LabelledField
          label={say('bench.aim.course')}
          placeholder={say('bench.aim.courseHint')}
          {...field('pace.course')}
        />
        <LabelledField label={say('bench.aim.time')} placeholder="27.2" {...field('pace.time')} />
      </StatedDefault>
      {sprays ? (
        <Caught {...props} />
      ) : (
        <StatedDefault
          name={say('bench.part.scaleStep')}
          text={scaleStepText(input, lastStep)}
          isWrong={isWrongAt(props, 'scaleStep')}
        >
          <LabelledField
            label={say('bench.aim.scaleStep')}
            placeholder={say('bench.aim.scaleStepHint')}
            {...field('scaleStep')}
            onFocus={onScaleStep}
          />
        </StatedDefault>
      )}
      <StatedDefault
        name={say('bench.part.tolerance')}
        text={toleranceText(input)}
        isWrong={isWrongAt(props, 'tolerance')}
      >
        <LabelledField
          label={say('bench.aim.tolerance')}
          placeholder="5"
          inputMode="decimal"
          {...field('tolerance')}
        />
        <Choice
          label={say('bench.aim.targetIs')}
          options={LIMIT}
          {...asChoice(bind('isCeiling'), 'yes', 'no')}
        />
      </StatedDefault>
      {!sprays && <FirstSetting {...props} />}
      {second.length > 0 && (
        <StatedDefault
          name={say('bench.part.second')}
          text={say('bench.aim.secondStays', {
            control: on.rig?.second.name || say('bench.aim.second'),
            mark: input.second || say('bench.aim.usualMark'),
          })}
          isWrong={isWrongAt(props, 'second')}
        >
          <LabelledField
            label={say('bench.aim.secondAt')}
            placeholder={second[1]?.label ?? ''}
            {...field('second')}
          />
        </StatedDefault>
      )}
      <StatedDefault name={say('bench.part.lot')} text={productText(input)}>
        <LabelledField label={say('bench.aim.lot')} placeholder={say('bench.aim.lotHint')} {...bind('lot')} />
        <LabelledField
          label={say('bench.aim.grain')}
          placeholder={say('bench.aim.grainHint')}
          {...bind('grain')}
        />
      </StatedDefault>
      <UnitsDefault {...props} />
      <StatedDefault
        name={say('bench.part.name')}
        text={
          input.name.trim() === '' ? say('bench.aim.noName') : say('bench.aim.savedAs', { name: input.name })
        }
        isWrong={isWrongAt(props, 'name')}
      >
        <LabelledField
          label={say('bench.aim.name')}
          placeholder={say('bench.aim.nameHint')}
          {...field('name')}
        />
      </StatedDefault>
    </Box>
  );
}
