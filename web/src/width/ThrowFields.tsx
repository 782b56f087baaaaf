import { Box } from '@chakra-ui/react';
import { type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/machines';
import {
  CATCH_KINDS,
  PASS_PATTERNS,
  SPACING_METHODS,
  SPACING_METHOD_IDS,
  type CatchKind,
  type PassPattern,
  type SpacingMethod,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { useRigs } from '../kinds/useRigs.ts';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { unitChoices } from '../ui/unitChoices.ts';

const WEIGHTS = unitChoices(['g', 'oz', 'kg', 'lb']);
const KINDS = (Object.keys(CATCH_KINDS) as CatchKind[]).map((id) => ({ id, label: CATCH_KINDS[id] }));
const MODE_CHOICES = (Object.keys(PASS_PATTERNS) as PassPattern[]).map((id) => ({
  id,
  label: PASS_PATTERNS[id],
}));

const GRID = {
  display: 'grid',
  gap: '10px 14px',
  gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
  alignItems: 'start',
} as const;

/** Which machine and product, at which setting and pace, and by which habit. */
export function ThrowFields({ input, errorAt, onChange, bind, field }: DocFormProps<WidthTestInput>) {
  const { data: rigs = [] } = useRigs();
  const throwing = rigs.filter(({ input: rig }) => rigKind(rig.kind).width === 'pass spacing' && rigKind(rig.kind).puts !== 'wet'); // prettier-ignore
  const setUnit = (unit: LengthUnit) =>
    onChange({
      ...input,
      layout: { ...input.layout, unit },
      throw: { ...input.throw, unit },
      looked: { ...input.looked, unit },
    });
  return (
    <Section heading="What was thrown">
      <Box {...GRID}>
        <LabelledField label="Name" placeholder="Red spreader, trays" {...field('name')} />
        <Choice
          label="Machine"
          options={[
            { id: '', label: 'not said yet' },
            ...throwing.map(({ id, input: rig }) => ({ id, label: rig.name })),
          ]}
          {...bind('rig')}
        />
        <LabelledField label="Product" placeholder="Lake feed 24-0-8" {...bind('product')} />
        <LabelledField label="Setting" placeholder="11" {...bind('setting')} />
        <LabelledField label="Day" type="date" {...field('onDay')} />
        <Choice<SpacingMethod>
          label="Spacing by"
          options={SPACING_METHOD_IDS.map((id) => ({ id, label: SPACING_METHODS[id] }))}
          {...bind('spacingMethod')}
        />
        {input.spacingMethod !== 'trays' && (
          <LabelledField
            label="The whole throw"
            placeholder="18 ft"
            value={input.throw.text}
            data-flow
            error={errorAt('throw.text')}
            onChange={(text) => onChange({ ...input, throw: { ...input.throw, text } })}
          />
        )}
        <Choice<LengthUnit>
          label="Bare lengths in"
          value={input.layout.unit}
          options={LENGTH_CHOICES}
          onChange={setUnit}
        />
        {input.spacingMethod === 'trays' && (
          <>
            <Choice<PassPattern> label="Passes go" options={MODE_CHOICES} {...bind('passPattern')} />
            <LabelledField label="CV that you bear, %" placeholder="15" {...field('limit')} />
          </>
        )}
      </Box>
      {input.spacingMethod === 'trays' && (
        <CheckLine
          label="side deflector down: a pattern for trim passes"
          checked={input.deflector}
          onChange={() => onChange({ ...input, deflector: !input.deflector })}
        />
      )}
    </Section>
  );
}

/** How the trays were set out, and what was read of them. */
export function LayoutFields({ input, errorAt, onChange, bind, field }: DocFormProps<WidthTestInput>) {
  const { layout, tray } = input;
  const setLayout = (more: Partial<typeof layout>) => onChange({ ...input, layout: { ...layout, ...more } });
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
          onChange={(length) => onChange({ ...input, tray: { ...tray, length } })}
        />
        <LabelledField
          label="and across"
          placeholder="0.3"
          value={tray.width}
          data-flow
          error={errorAt('tray.width')}
          onChange={(width) => onChange({ ...input, tray: { ...tray, width } })}
        />
        <Choice<LengthUnit>
          label="Trays in"
          value={tray.unit}
          options={LENGTH_CHOICES}
          onChange={(unit) => onChange({ ...input, tray: { ...tray, unit } })}
        />
        <LabelledField
          label="Passes over them"
          placeholder="3"
          value={input.passes}
          data-flow
          error={errorAt('passes')}
          onChange={(passes) => onChange({ ...input, passes })}
        />
        <Choice<CatchKind> label="What was read" options={KINDS} {...bind('kind')} />
        {input.kind === 'mass' && (
          <Choice<MassUnit> label="Bare weights in" options={WEIGHTS} {...bind('unit')} />
        )}
        {input.kind === 'mass' && (
          <LabelledField label="The scale reads to" placeholder="its last digit" {...field('scaleStep')} />
        )}
      </Box>
    </Section>
  );
}
