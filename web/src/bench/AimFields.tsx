import { Box, Button } from '@chakra-ui/react';
import { UNITS, type LengthUnit, type MassPerAreaUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/rigs';
import { PRODUCT_KINDS } from '@steady-scatter/core/shelf';
import { isEmptyRun, STARTS, type CalibrationInput, type StartId } from '@steady-scatter/core/testing';
import { useState } from 'react';
import { Link } from 'react-router';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { RATE_CHOICES } from '../need/units.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import type { BenchShelf, CalibrationContext } from './calibrationContext.ts';
import { LabelLines } from './LabelLines.tsx';
import { useTaking } from './useTaking.ts';

const WEIGHTS = (['lb', 'oz', 'kg', 'g'] as const).map((id) => ({ id, label: UNITS[id].symbol }));
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

/** Which machine, what product, and what is wanted of them. */
export function AimFields(props: AimProps) {
  const { typed, errorAt, onChange, shelf, on, id } = props;
  const { target, width, units, pace } = typed;
  const take = useTaking(props);
  // On a phone the rest is folded away until it is asked for.
  const [isMore, setMore] = useState(false);
  const widthWords = on.rig ? rigKind(on.rig.kind).width : 'pass spacing';
  const others = shelf.calibrations.filter((other) => other.id !== id && other.typed.rig === typed.rig && typed.rig !== ''); // prettier-ignore
  const second = on.bench.second.marks;
  const isTested = typed.runs.some((run) => !isEmptyRun(run));
  const start = on.reading.advice?.start.from ?? typed.start;
  const dry = shelf.products.filter(({ typed: product }) => PRODUCT_KINDS[product.kind].form === 'dry');
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
          value={typed.rig}
          isFixed={isTested && typed.rig !== ''}
          options={[
            { id: '', label: 'not said yet' },
            ...shelf.rigs
              .filter(({ typed: rig }) => rigKind(rig.kind).puts !== 'wet')
              .map((rig) => ({ id: rig.id, label: rig.typed.name })),
          ]}
          onChange={take.rig}
        />
        <Choice
          label="Product on the shelf"
          value={typed.productId}
          options={[
            { id: '', label: 'not on the shelf' },
            ...dry.map((product) => ({ id: product.id, label: product.typed.name })),
          ]}
          onChange={take.product}
        />
        <LabelledField
          label="Product"
          placeholder="Lake feed 24-0-8"
          value={typed.product}
          onChange={take.productName}
        />
        <LabelledField
          label="Name"
          placeholder="Red spreader, lake feed"
          value={typed.name}
          error={errorAt('name')}
          onChange={(name) => onChange({ ...typed, name })}
        />
        <LabelledField
          label="Rate"
          placeholder="3.33"
          value={target.amount}
          data-flow
          error={errorAt('target.amount')}
          onChange={(amount) => onChange({ ...typed, target: { ...target, amount } })}
        />
        <Choice<MassPerAreaUnit>
          label="Rates are in"
          value={target.unit}
          options={RATE_CHOICES.map((unit) => ({ id: unit, label: UNITS[unit].symbol }))}
          onChange={(unit) => onChange({ ...typed, target: { ...target, unit } })}
        />
        <LabelledField
          label={widthWords.charAt(0).toUpperCase() + widthWords.slice(1)}
          placeholder={widthWords === 'row spacing' ? '1.5 m, or 6600 m/ha' : '9 ft'}
          value={width.text}
          data-flow
          error={errorAt('width.text')}
          onChange={(text) => onChange({ ...typed, width: { ...width, text } })}
        />
        <LabelledField
          label="The scale reads to"
          placeholder="0.05 lb"
          value={typed.scaleStep}
          data-flow
          error={errorAt('scaleStep')}
          onChange={(scaleStep) => onChange({ ...typed, scaleStep })}
        />
        <Box display={{ base: isMore ? 'contents' : 'none', md: 'contents' }}>
          <Choice
            label="The rate"
            value={typed.isCeiling ? 'yes' : 'no'}
            options={LIMIT}
            onChange={(limit) => onChange({ ...typed, isCeiling: limit === 'yes' })}
          />
          <LabelledField
            label="It may be off by, %"
            placeholder="5"
            value={typed.tolerance}
            error={errorAt('tolerance')}
            onChange={(tolerance) => onChange({ ...typed, tolerance })}
          />
          <Choice
            label="It was"
            value={width.by}
            options={BY}
            onChange={(by) => onChange({ ...typed, width: { ...width, by } })}
          />
          <Choice
            label="Begin"
            value={typed.start}
            options={(Object.keys(STARTS) as StartId[]).map((start) => ({ id: start, label: STARTS[start] }))}
            onChange={(start) => onChange({ ...typed, start })}
          />
          {(start === 'shape' || typed.start === 'shape' || others.length > 0) && (
            <Choice
              label="Shape of"
              value={typed.shape}
              options={[
                { id: '', label: 'no chart chosen' },
                ...others.map((other) => ({ id: other.id, label: other.typed.name })),
              ]}
              onChange={(shape) => onChange({ ...typed, shape })}
            />
          )}
          <LabelledField
            label="Pace: a course of"
            placeholder="120 ft"
            value={pace.course}
            data-flow
            error={errorAt('pace.course')}
            onChange={(course) => onChange({ ...typed, pace: { ...pace, course } })}
          />
          <LabelledField
            label="takes, seconds"
            placeholder="27.2"
            value={pace.time}
            data-flow
            error={errorAt('pace.time')}
            onChange={(time) => onChange({ ...typed, pace: { ...pace, time } })}
          />
          {second.length > 0 && (
            <LabelledField
              label={`${on.rig?.second.name || 'Second control'} stays at`}
              placeholder={second[1]?.label ?? ''}
              value={typed.second}
              error={errorAt('second')}
              onChange={(mark) => onChange({ ...typed, second: mark })}
            />
          )}
          <LabelledField
            label="Lot"
            placeholder="TH-2603"
            value={typed.lot}
            onChange={(lot) => onChange({ ...typed, lot })}
          />
          <LabelledField
            label="Grain size"
            placeholder="215, or medium"
            value={typed.grain}
            onChange={(grain) => onChange({ ...typed, grain })}
          />
          <Choice<MassUnit>
            label="Bare weights in"
            value={units.mass}
            options={WEIGHTS}
            onChange={(mass) => onChange({ ...typed, units: { ...units, mass } })}
          />
          <Choice<LengthUnit>
            label="Bare lengths in"
            value={units.length}
            options={LENGTH_CHOICES}
            onChange={(length) =>
              onChange({
                ...typed,
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
      {isTested && typed.rig !== '' && (
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          Its test runs belong to this machine.{' '}
          <Link to="/bench/new">New calibration for another machine</Link>
        </Box>
      )}
      {(start === 'label' || typed.start === 'label' || typed.label.lines.length > 0) && (
        <LabelLines {...props} />
      )}
    </Section>
  );
}
