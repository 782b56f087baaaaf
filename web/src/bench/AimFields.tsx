import { Box, Button } from '@chakra-ui/react';
import { UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind, type RigKind } from '@steady-scatter/core/machines';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import {
  isEmptyRun,
  STARTS,
  type BenchRateUnit,
  type CalibrationInput,
  type StartId,
} from '@steady-scatter/core/testing';
import { useState } from 'react';
import { Link } from 'react-router';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { LANE_RATE_CHOICES, RATE_CHOICES, ROW_RATE_CHOICES } from '../units/units.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import type { BenchShelf, CalibrationContext } from './calibrationContext.ts';
import { LabelLines } from './LabelLines.tsx';
import { useTaking } from './useTaking.ts';
import { HAND_WEIGHTS, unitChoices } from '../ui/unitChoices.ts';

const WEIGHTS = unitChoices(HAND_WEIGHTS);
const BY = [
  { id: 'chosen', label: 'chosen' },
  { id: 'measured', label: 'measured by tape' },
] as const;
const LIMIT = [
  { id: 'no', label: 'is aimed at' },
  { id: 'yes', label: 'is the most allowed' },
] as const;

export interface AimProps extends DocFormProps<CalibrationInput> {
  shelf: BenchShelf;
  on: CalibrationContext;
  /** Id of this calibration; null for a new one. */
  id: string | null;
}

/** Rates that a machine is asked for: on the ground, and on a length of what it treats; the one that stands is among them. */
function rateChoices(kind: RigKind | null, stands: BenchRateUnit): readonly BenchRateUnit[] {
  const treats = kind ? rigKind(kind).treats : [];
  const offered: readonly BenchRateUnit[] = [
    ...RATE_CHOICES,
    ...(treats.includes('rows') ? ROW_RATE_CHOICES : []),
    ...(treats.includes('lanes') ? LANE_RATE_CHOICES : []),
  ];
  return offered.includes(stands) ? offered : [...offered, stands];
}

/** Which machine, what product, and what is wanted of them. */
export function AimFields(props: AimProps) {
  const { input, errorAt, onChange, bind, field, shelf, on, id } = props;
  const { target, width, units, pace } = input;
  const take = useTaking(props);
  // On a phone the rest is folded away until it is asked for.
  const [isMore, setMore] = useState(false);
  const spreadOver = on.rig ? rigKind(on.rig.kind).width : 'pass spacing';
  const widthWords = on.reading.dimension === 'massPerLaneLength' ? 'lane width' : spreadOver;
  const others = shelf.calibrations.filter((other) => other.id !== id && other.input.rig === input.rig && input.rig !== ''); // prettier-ignore
  const second = on.bench.second.marks;
  const isTested = input.runs.some((run) => !isEmptyRun(run));
  const start = on.reading.advice?.start.from ?? input.start;
  const dry = shelf.products.filter(({ input: product }) => PRODUCT_KINDS[product.kind].form === 'dry');
  return (
    <Section heading="What is calibrated">
      <Box
        display="grid"
        gap="10px 14px"
        gridTemplateColumns="repeat(auto-fill, minmax(158px, 1fr))"
        alignItems="start"
      >
        <Choice
          label="Machine"
          value={input.rig}
          isFixed={isTested && input.rig !== ''}
          options={[
            { id: '', label: 'not said yet' },
            ...shelf.rigs
              .filter(({ input: rig }) => rigKind(rig.kind).puts !== 'wet')
              .map((rig) => ({ id: rig.id, label: rig.input.name })),
          ]}
          onChange={take.rig}
        />
        <Choice
          label="Product on the shelf"
          value={input.productId}
          options={[
            { id: '', label: 'not on the shelf' },
            ...dry.map((product) => ({ id: product.id, label: product.input.name })),
          ]}
          onChange={take.product}
        />
        <LabelledField
          label="Product"
          placeholder="Lake feed 24-0-8"
          value={input.product}
          onChange={take.productName}
        />
        <LabelledField label="Name" placeholder="Red spreader, lake feed" {...field('name')} />
        <LabelledField
          label="Rate"
          placeholder="3.33"
          value={target.amount}
          data-flow
          error={errorAt('target.amount')}
          onChange={(amount) => onChange({ ...input, target: { ...target, amount } })}
        />
        <Choice<BenchRateUnit>
          label="Rates are in"
          value={target.unit}
          options={rateChoices(on.rig?.kind ?? null, target.unit).map((unit) => ({
            id: unit,
            label: UNITS[unit].symbol,
          }))}
          onChange={(unit) => onChange({ ...input, target: { ...target, unit } })}
        />
        <LabelledField
          label={widthWords.charAt(0).toUpperCase() + widthWords.slice(1)}
          placeholder={widthWords === 'row spacing' ? '1.5 m, or 6600 m/ha' : '9 ft'}
          value={width.text}
          data-flow
          error={errorAt('width.text')}
          onChange={(text) => onChange({ ...input, width: { ...width, text } })}
        />
        <LabelledField
          label="The scale reads to"
          placeholder="0.05 lb"
          value={input.scaleStep}
          data-flow
          error={errorAt('scaleStep')}
          onChange={(scaleStep) => onChange({ ...input, scaleStep })}
        />
        <Box display={{ base: isMore ? 'contents' : 'none', md: 'contents' }}>
          <Choice
            label="The rate"
            value={input.isCeiling ? 'yes' : 'no'}
            options={LIMIT}
            onChange={(limit) => onChange({ ...input, isCeiling: limit === 'yes' })}
          />
          <LabelledField label="It may be off by, %" placeholder="5" {...field('tolerance')} />
          <Choice
            label="It was"
            value={width.by}
            options={BY}
            onChange={(by) => onChange({ ...input, width: { ...width, by } })}
          />
          <Choice
            label="Begin"
            options={(Object.keys(STARTS) as StartId[]).map((start) => ({ id: start, label: STARTS[start] }))}
            {...bind('start')}
          />
          {(start === 'shape' || input.start === 'shape' || others.length > 0) && (
            <Choice
              label="Shape of"
              options={[
                { id: '', label: 'no chart chosen' },
                ...others.map((other) => ({ id: other.id, label: other.input.name })),
              ]}
              {...bind('shape')}
            />
          )}
          <LabelledField
            label="Pace: a course of"
            placeholder="120 ft"
            value={pace.course}
            data-flow
            error={errorAt('pace.course')}
            onChange={(course) => onChange({ ...input, pace: { ...pace, course } })}
          />
          <LabelledField
            label="takes, seconds"
            placeholder="27.2"
            value={pace.time}
            data-flow
            error={errorAt('pace.time')}
            onChange={(time) => onChange({ ...input, pace: { ...pace, time } })}
          />
          {second.length > 0 && (
            <LabelledField
              label={`${on.rig?.second.name || 'Second control'} stays at`}
              placeholder={second[1]?.label ?? ''}
              {...field('second')}
            />
          )}
          <LabelledField label="Lot" placeholder="TH-2603" {...bind('lot')} />
          <LabelledField label="Grain size" placeholder="215, or medium" {...bind('grain')} />
          <Choice<MassUnit>
            label="Bare weights in"
            value={units.mass}
            options={WEIGHTS}
            onChange={(mass) => onChange({ ...input, units: { ...units, mass } })}
          />
          <Choice<LengthUnit>
            label="Bare lengths in"
            value={units.length}
            options={LENGTH_CHOICES}
            onChange={(length) =>
              onChange({
                ...input,
                units: { ...units, length },
                width: { ...width, unit: length },
                pace: { ...pace, unit: length },
              })
            }
          />
        </Box>
      </Box>
      {!isMore && (
        <Button
          hideFrom="md"
          variant="ghost"
          minHeight="56px"
          marginLeft="-12px"
          onClick={() => setMore(true)}
        >
          More: pace, tolerance, where to begin, units
        </Button>
      )}
      {isTested && input.rig !== '' && (
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          Its test runs belong to this machine.{' '}
          <Link to="/bench/new">New calibration for another machine</Link>
        </Box>
      )}
      {(start === 'label' || input.start === 'label' || input.label.lines.length > 0) && (
        <LabelLines {...props} />
      )}
    </Section>
  );
}
