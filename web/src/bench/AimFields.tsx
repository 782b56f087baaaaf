import { Box } from '@chakra-ui/react';
import type { Rig } from '@steady-scatter/contract';
import {
  UNITS,
  type CalibrationTyped,
  type LengthUnit,
  type MassPerAreaUnit,
  type MassUnit,
} from '@steady-scatter/core';
import type { Doc } from '../kept/docs.ts';
import type { DocFormProps } from '../kept/DocPage.tsx';
import { RATE_CHOICES } from '../need/units.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';

const WEIGHTS = (['lb', 'oz', 'kg', 'g'] as const).map((id) => ({ id, label: UNITS[id].symbol }));
const BY = [
  { id: 'chosen', label: 'chosen' },
  { id: 'measured', label: 'measured by tape' },
] as const;
const LIMIT = [
  { id: 'no', label: 'is aimed at' },
  { id: 'yes', label: 'is the most allowed' },
] as const;
const STARTS = [
  { id: 'low', label: 'low: a third up' },
  { id: 'middle', label: 'in the middle' },
] as const;

interface Props extends DocFormProps<CalibrationTyped> {
  rigs: readonly Doc<Rig['typed']>[];
  /** What the rate is spread over on this machine. */
  widthWords: string;
}

/** Which machine, what product, and what is wanted of them. */
export function AimFields({ typed, errorAt, onChange, rigs, widthWords }: Props) {
  const { target, width, units } = typed;
  const takeRig = (id: string) => {
    const rig = rigs.find((each) => each.id === id)?.typed;
    // The machine's own width is taken over while none is typed.
    const fresh = rig && width.text === '' ? { ...width, text: rig.width.text, unit: rig.width.unit } : width;
    onChange({ ...typed, rig: id, width: fresh });
  };
  return (
    <Section heading="What is calibrated">
      <Box
        display="grid"
        gap="10px 14px"
        gridTemplateColumns="repeat(auto-fill, minmax(158px, 1fr))"
        alignItems="start"
      >
        <LabelledField
          label="Name"
          placeholder="Red spreader, lake feed"
          value={typed.name}
          error={errorAt('name')}
          onChange={(name) => onChange({ ...typed, name })}
        />
        <Choice
          label="Machine"
          value={typed.rig}
          options={[
            { id: '', label: 'not said yet' },
            ...rigs.map(({ id, typed: rig }) => ({ id, label: rig.name })),
          ]}
          onChange={takeRig}
        />
        <LabelledField
          label="Product"
          placeholder="Lake feed 24-0-8"
          value={typed.product}
          onChange={(product) => onChange({ ...typed, product })}
        />
        <LabelledField
          label="Lot or grain"
          placeholder="medium grain"
          value={typed.lot}
          onChange={(lot) => onChange({ ...typed, lot })}
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
          options={RATE_CHOICES.map((id) => ({ id, label: UNITS[id].symbol }))}
          onChange={(unit) => onChange({ ...typed, target: { ...target, unit } })}
        />
        <Choice
          label="The rate"
          value={typed.isCeiling ? 'yes' : 'no'}
          options={LIMIT}
          onChange={(limit) => onChange({ ...typed, isCeiling: limit === 'yes' })}
        />
        <LabelledField
          label="It may be off by"
          placeholder="5 %"
          value={typed.tolerance}
          error={errorAt('tolerance')}
          onChange={(tolerance) => onChange({ ...typed, tolerance })}
        />
        <LabelledField
          label={widthWords.charAt(0).toUpperCase() + widthWords.slice(1)}
          placeholder="9 ft"
          value={width.text}
          data-flow
          error={errorAt('width.text')}
          onChange={(text) => onChange({ ...typed, width: { ...width, text } })}
        />
        <Choice
          label="It was"
          value={width.by}
          options={BY}
          onChange={(by) => onChange({ ...typed, width: { ...width, by } })}
        />
        <LabelledField
          label="The scale reads to"
          placeholder="its last digit"
          value={typed.scaleStep}
          error={errorAt('scaleStep')}
          onChange={(scaleStep) => onChange({ ...typed, scaleStep })}
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
            onChange({ ...typed, units: { ...units, length }, width: { ...width, unit: length } })
          }
        />
        <Choice
          label="Begin"
          value={typed.start}
          options={STARTS}
          onChange={(start) => onChange({ ...typed, start })}
        />
      </Box>
    </Section>
  );
}
