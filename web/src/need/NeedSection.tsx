import { chakra } from '@chakra-ui/react';
import {
  attempt,
  NUTRIENT_IDS,
  NUTRIENTS,
  RATE_AREAS,
  readGrade,
  readNeed,
  retypeNeed,
  splitUnit,
  weightPart,
  type MassPerAreaUnit,
  type RateAreaUnit,
  type UnitChange,
} from '@steady-scatter/core';
import { useController, useWatch } from 'react-hook-form';
import type { SheetForm } from '../jobs/drafts.ts';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { TypedTerm } from '../jobs/TypedTerm.tsx';
import { useShowIn } from '../jobs/useShowIn.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { UNDERLINE } from '../ui/origin.ts';
import { Section } from '../ui/Section.tsx';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { ShareInput } from './ShareInput.tsx';
import { MASS_CHOICES, RATE_AREA_CHOICES, needsUnit, rateUnit, symbolOf } from './units.ts';

/** The need as read, and how to change its unit in place. */
function useNeed() {
  const form = useSheetForm();
  const need = useWatch({ control: form.control, name: 'worksheet.need' });
  const reading = attempt(() => readNeed(need.amount, need.unit, 'need.amount')).value;
  const unit = reading?.unit ?? need.unit;
  const set = (amount: string, to: MassPerAreaUnit) => {
    form.setValue('worksheet.need.unit', to, { shouldDirty: true });
    form.setValue('worksheet.need.amount', amount, { shouldDirty: true });
  };
  return {
    need,
    unit,
    preview: (to: MassPerAreaUnit) => reading && ((change: UnitChange) => retypeNeed(reading, to, change)),
    changeUnit: (to: MassPerAreaUnit, change: UnitChange) =>
      set(reading ? retypeNeed(reading, to, change) : need.amount, to),
    /** Moves an area and a nutrient that were typed along into their own terms. */
    settle() {
      if (!reading) return;
      set(weightPart(need.amount), reading.unit);
      if (reading.nutrient) form.setValue('worksheet.need.nutrient', reading.nutrient, { shouldDirty: true });
    },
  };
}

function AmountTerm({ autoFocus }: { autoFocus: boolean }) {
  const { need, unit, preview, changeUnit, settle } = useNeed();
  const [mass, area] = splitUnit(unit);
  return (
    <TypedTerm
      name="worksheet.need.amount"
      label="Amount needed"
      placeholder="0.8"
      origin="typed"
      autoFocus={autoFocus}
      onSettled={settle}
      unit={
        <UnitPicker
          label="unit of the need"
          current={mass}
          shown={needsUnit(need.amount) ? symbolOf(mass) : ''}
          options={MASS_CHOICES.map((id) => ({
            id,
            symbol: symbolOf(id),
            preview: preview(rateUnit(id, area)),
          }))}
          onPick={(id, change) => changeUnit(rateUnit(id, area), change)}
        />
      }
    />
  );
}

function PerAreaTerm() {
  const { unit, preview, changeUnit } = useNeed();
  const [mass, area] = splitUnit(unit);
  return (
    <UnitPicker<RateAreaUnit>
      label="area that the need is given on"
      current={area}
      shown={RATE_AREAS[area].symbol}
      underlined
      options={RATE_AREA_CHOICES.map((id) => ({
        id,
        symbol: RATE_AREAS[id].symbol,
        preview: preview(rateUnit(mass, id)),
      }))}
      onPick={(id, change) => changeUnit(rateUnit(mass, id), change)}
    />
  );
}

const Select = chakra('select', {
  base: {
    fieldSizing: 'content',
    bg: 'transparent',
    font: 'inherit',
    color: 'inherit',
    minHeight: '32px',
    cursor: 'pointer',
    '@media print': { appearance: 'none' },
    '@media (pointer: coarse)': { minHeight: '44px', paddingTop: '12px', paddingBottom: '2px' },
  },
});

function NutrientTerm() {
  const { field } = useController<SheetForm, 'worksheet.need.nutrient'>({ name: 'worksheet.need.nutrient' });
  return (
    <Select {...field} aria-label="Nutrient needed" borderColor="ink" css={UNDERLINE.typed}>
      {NUTRIENT_IDS.map((id) => (
        <option key={id} value={id} label={NUTRIENTS[id].symbol}>
          {NUTRIENTS[id].symbol}, {NUTRIENTS[id].name}
        </option>
      ))}
    </Select>
  );
}

/** What the ground needs, and the product rate that puts it down. */
export function NeedSection({ onEnter }: { onEnter(): void }) {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const { need, grade } = useWatch({ control: form.control, name: 'worksheet' });
  const rate = useShowIn('rate');
  const read = attempt(() => readGrade(grade, 'grade')).value;
  return (
    <Section id="need" heading={answer.lines.need.label} onEnter={onEnter}>
      <WorkingLine
        working={answer.lines.need}
        names={{ rate: 'Product rate' }}
        showIn={{ rate }}
        editors={{
          'need.amount': <AmountTerm autoFocus={need.amount === ''} />,
          'need.nutrient': <NutrientTerm />,
          'need.per': <PerAreaTerm />,
          fraction: read ? <ShareInput grade={read} nutrient={need.nutrient} /> : undefined,
          grade: (
            <TypedTerm
              name="worksheet.grade"
              label="Grade on the label"
              placeholder="24-0-8"
              origin="label"
            />
          ),
        }}
      />
      <FieldErrors
        error={errorAt('need.amount')}
        typed={need.amount}
        onUse={(text) => form.setValue('worksheet.need.amount', text, { shouldDirty: true })}
      />
      <FieldErrors
        error={errorAt('grade')}
        typed={grade}
        onUse={(text) => form.setValue('worksheet.grade', text, { shouldDirty: true })}
      />
    </Section>
  );
}
