import { Box } from '@chakra-ui/react';
import { UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/rigs';
import {
  CATCH_KINDS,
  MODES,
  WAYS,
  WAY_IDS,
  type CatchKind,
  type Mode,
  type Way,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { useRigs } from '../rigs/useRigs.ts';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';

const WEIGHTS = (['g', 'oz', 'kg', 'lb'] as const).map((id) => ({ id, label: UNITS[id].symbol }));
const KINDS = (Object.keys(CATCH_KINDS) as CatchKind[]).map((id) => ({ id, label: CATCH_KINDS[id] }));
const MODE_CHOICES = (Object.keys(MODES) as Mode[]).map((id) => ({ id, label: MODES[id] }));

const GRID = {
  display: 'grid',
  gap: '10px 14px',
  gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
  alignItems: 'start',
} as const;

/** Which machine and product, at which setting and pace, and by which habit. */
export function ThrowFields({ typed, errorAt, onChange }: DocFormProps<WidthTestInput>) {
  const { data: rigs = [] } = useRigs();
  const throwing = rigs.filter(({ typed: rig }) => rigKind(rig.kind).width === 'pass spacing' && rigKind(rig.kind).puts !== 'wet'); // prettier-ignore
  const setUnit = (unit: LengthUnit) =>
    onChange({
      ...typed,
      layout: { ...typed.layout, unit },
      throw: { ...typed.throw, unit },
      looked: { ...typed.looked, unit },
    });
  return (
    <Section heading="What was thrown">
      <Box {...GRID}>
        <LabelledField
          label="Name"
          placeholder="Red spreader, trays"
          value={typed.name}
          error={errorAt('name')}
          onChange={(name) => onChange({ ...typed, name })}
        />
        <Choice
          label="Machine"
          value={typed.rig}
          options={[
            { id: '', label: 'not said yet' },
            ...throwing.map(({ id, typed: rig }) => ({ id, label: rig.name })),
          ]}
          onChange={(rig) => onChange({ ...typed, rig })}
        />
        <LabelledField
          label="Product"
          placeholder="Lake feed 24-0-8"
          value={typed.product}
          onChange={(product) => onChange({ ...typed, product })}
        />
        <LabelledField
          label="Setting"
          placeholder="11"
          value={typed.setting}
          onChange={(setting) => onChange({ ...typed, setting })}
        />
        <LabelledField
          label="Day"
          type="date"
          value={typed.onDay}
          error={errorAt('onDay')}
          onChange={(onDay) => onChange({ ...typed, onDay })}
        />
        <Choice<Way>
          label="Spacing by"
          value={typed.way}
          options={WAY_IDS.map((id) => ({ id, label: WAYS[id] }))}
          onChange={(way) => onChange({ ...typed, way })}
        />
        {typed.way !== 'trays' && (
          <LabelledField
            label="The whole throw"
            placeholder="18 ft"
            value={typed.throw.text}
            data-flow
            error={errorAt('throw.text')}
            onChange={(text) => onChange({ ...typed, throw: { ...typed.throw, text } })}
          />
        )}
        <Choice<LengthUnit>
          label="Bare lengths in"
          value={typed.layout.unit}
          options={LENGTH_CHOICES}
          onChange={setUnit}
        />
        {typed.way === 'trays' && (
          <>
            <Choice<Mode>
              label="Passes go"
              value={typed.mode}
              options={MODE_CHOICES}
              onChange={(mode) => onChange({ ...typed, mode })}
            />
            <LabelledField
              label="CV that you bear, %"
              placeholder="15"
              value={typed.limit}
              error={errorAt('limit')}
              onChange={(limit) => onChange({ ...typed, limit })}
            />
          </>
        )}
      </Box>
      {typed.way === 'trays' && (
        <CheckLine
          label="side deflector down: a pattern for trim passes"
          checked={typed.deflector}
          onChange={() => onChange({ ...typed, deflector: !typed.deflector })}
        />
      )}
    </Section>
  );
}

/** How the trays were set out, and what was read of them. */
export function LayoutFields({ typed, errorAt, onChange }: DocFormProps<WidthTestInput>) {
  const { layout, tray } = typed;
  const setLayout = (more: Partial<typeof layout>) => onChange({ ...typed, layout: { ...layout, ...more } });
  const isTyped = layout.positions.trim() !== '';
  return (
    <Section heading="How the trays were set out">
      <Box {...GRID}>
        {!isTyped && (
          <LabelledField
            label="Trays"
            placeholder="17"
            value={layout.count}
            data-flow
            error={errorAt('layout.count')}
            onChange={(count) => setLayout({ count })}
          />
        )}
        {!isTyped && (
          <LabelledField
            label="every"
            placeholder="0.5"
            value={layout.spacing}
            data-flow
            error={errorAt('layout.spacing')}
            onChange={(spacing) => setLayout({ spacing })}
          />
        )}
        {!isTyped && (
          <LabelledField
            label="Gap for the wheels"
            placeholder="none"
            value={layout.gap}
            data-flow
            error={errorAt('layout.gap')}
            onChange={(gap) => setLayout({ gap })}
          />
        )}
        <LabelledField
          label="or their places, left −"
          placeholder="-2 -1 -0.5 0 0.5 1 2"
          value={layout.positions}
          error={errorAt('layout.positions')}
          onChange={(positions) => setLayout({ positions })}
        />
        <LabelledField
          label="A tray is, along"
          placeholder="0.5"
          value={tray.length}
          data-flow
          error={errorAt('tray.length')}
          onChange={(length) => onChange({ ...typed, tray: { ...tray, length } })}
        />
        <LabelledField
          label="and across"
          placeholder="0.3"
          value={tray.width}
          data-flow
          error={errorAt('tray.width')}
          onChange={(width) => onChange({ ...typed, tray: { ...tray, width } })}
        />
        <Choice<LengthUnit>
          label="Trays in"
          value={tray.unit}
          options={LENGTH_CHOICES}
          onChange={(unit) => onChange({ ...typed, tray: { ...tray, unit } })}
        />
        <LabelledField
          label="Passes over them"
          placeholder="3"
          value={typed.passes}
          data-flow
          error={errorAt('passes')}
          onChange={(passes) => onChange({ ...typed, passes })}
        />
        <Choice<CatchKind>
          label="What was read"
          value={typed.kind}
          options={KINDS}
          onChange={(kind) => onChange({ ...typed, kind })}
        />
        {typed.kind === 'mass' && (
          <Choice<MassUnit>
            label="Bare weights in"
            value={typed.unit}
            options={WEIGHTS}
            onChange={(unit) => onChange({ ...typed, unit })}
          />
        )}
        {typed.kind === 'mass' && (
          <LabelledField
            label="The scale reads to"
            placeholder="its last digit"
            value={typed.scaleStep}
            error={errorAt('scaleStep')}
            onChange={(scaleStep) => onChange({ ...typed, scaleStep })}
          />
        )}
      </Box>
    </Section>
  );
}
