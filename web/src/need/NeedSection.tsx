import { memo } from 'react';
import { chakra } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readGrade, readNeed, retypeNeed, splitUnit, weightPart } from '@steady-scatter/core/need';
import { RATE_AREAS, UNITS, type RateAreaUnit, type UnitChange } from '@steady-scatter/core/quantities';
import { isNutrient, NEED_OF, NEED_OF_IDS, type NeedOf, type RateUnit } from '@steady-scatter/core/products';
import { withNeedOf } from '@steady-scatter/core/worksheet';
import { useWatch } from 'react-hook-form';
import { nameOf, say, speak } from '@steady-scatter/words/sheet';
import { message } from '@steady-scatter/core/messages';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { Questions } from '../sheet/Questions.tsx';
import { SheetError } from '../sheet/SheetError.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { useShowIn } from '../sheet/useShowIn.ts';
import { UNDERLINE } from '../ui/origin.ts';
import { Section } from '../ui/Section.tsx';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { ProductTerm } from './ProductTerm.tsx';
import { ShareInput } from './ShareInput.tsx';
import {
  MASS_CHOICES,
  needsUnit,
  RATE_AREA_CHOICES,
  rateUnit,
  symbolOf,
  VOLUME_CHOICES,
} from '../units/units.ts';

/** The need as read, and how to change its unit in place. */
function useNeed() {
  const form = useSheetForm();
  const need = useWatch({ control: form.control, name: 'worksheet.need' });
  const reading = toResult(() => readNeed(need.amount, need.unit, 'need.amount')).value;
  const unit = reading?.unit ?? need.unit;
  const set = (amount: string, to: RateUnit) => {
    form.setValue('worksheet.need.unit', to, { shouldDirty: true });
    form.setValue('worksheet.need.amount', amount, { shouldDirty: true });
  };
  return {
    need,
    unit,
    preview: (to: RateUnit) => reading && ((change: UnitChange) => retypeNeed(reading, to, change)),
    changeUnit: (to: RateUnit, change: UnitChange) =>
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
  const [amount, area] = splitUnit(unit);
  const choices = UNITS[unit].kind === 'volumePerArea' ? VOLUME_CHOICES : MASS_CHOICES;
  return (
    <TypedTerm
      name="worksheet.need.amount"
      label={say('sheet.need.amount')}
      placeholder="0.8"
      origin="typed"
      autoFocus={autoFocus}
      onSettled={settle}
      unit={
        <UnitPicker
          label={say('sheet.need.unit')}
          current={amount}
          shown={needsUnit(need.amount) ? symbolOf(amount) : ''}
          options={choices.map((id) => ({
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
  const [amount, area] = splitUnit(unit);
  return (
    <UnitPicker<RateAreaUnit>
      label={say('sheet.need.per')}
      current={area}
      shown={RATE_AREAS[area].symbol}
      underlined
      options={RATE_AREA_CHOICES.map((id) => ({
        id,
        symbol: RATE_AREAS[id].symbol,
        preview: preview(rateUnit(amount, id)),
      }))}
      onPick={(id, change) => changeUnit(rateUnit(amount, id), change)}
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

function NeedOfTerm() {
  const form = useSheetForm();
  const { nutrient: of } = useWatch({ control: form.control, name: 'worksheet.need' });
  const choose = (wanted: NeedOf) =>
    form.setValue('worksheet.need', withNeedOf(form.getValues('worksheet'), wanted).need, {
      shouldDirty: true,
    });
  return (
    <Select
      aria-label={say('sheet.need.heading')}
      borderColor="ink"
      css={UNDERLINE.typed}
      value={of}
      onChange={(event) => choose(event.target.value as NeedOf)}
    >
      {NEED_OF_IDS.map((id) => (
        <option key={id} value={id} label={NEED_OF[id].symbol || speak(message('working.ofProduct'))}>
          {isNutrient(id) ? `${NEED_OF[id].symbol}, ${nameOf('nutrient', id)}` : nameOf('nutrient', id)}
        </option>
      ))}
    </Select>
  );
}

function FractionTerm() {
  const { need, product } = useSheet().worksheet;
  if (need.nutrient === 'ai') {
    return (
      <TypedTerm
        name="worksheet.product.load"
        label={say('sheet.need.load')}
        placeholder="0.43 %"
        origin="label"
      />
    );
  }
  const read = toResult(() => readGrade(product.grade, 'grade')).value;
  return read && isNutrient(need.nutrient) ? <ShareInput grade={read} nutrient={need.nutrient} /> : undefined;
}

/** Fields of the need line whose sentences stand under it, in its order. */
const FIELDS = [
  'worksheet.need.amount',
  'worksheet.product.grade',
  'worksheet.product.load',
  'worksheet.product.density.text',
] as const;

/** What the ground needs, and the product rate that puts it down. */
export const NeedSection = memo(function NeedSectionOf({ onEnter }: { onEnter(): void }) {
  const { answer, worksheet } = useSheet();
  const { need, product } = worksheet;
  const rate = useShowIn('rate');
  const hasGrade = toResult(() => readGrade(product.grade, '')).value !== null;
  return (
    <Section id="need" heading={speak(answer.lines.need.label)} onEnter={onEnter}>
      <WorkingLine
        working={answer.lines.need}
        names={{ rate: say('sheet.need.rate') }}
        showIn={{ rate }}
        editors={{
          'need.amount': <AmountTerm autoFocus={need.amount === ''} />,
          'need.nutrient': <NeedOfTerm />,
          'need.per': <PerAreaTerm />,
          fraction: need.nutrient === 'ai' || hasGrade ? <FractionTerm /> : undefined,
          grade: (
            <TypedTerm
              name="worksheet.product.grade"
              label={say('sheet.need.grade')}
              placeholder="24-0-8"
              origin="label"
            />
          ),
          density: (
            <TypedTerm
              name="worksheet.product.density.text"
              label={say('sheet.need.density')}
              placeholder={say('sheet.need.densityHint')}
              origin="label"
            />
          ),
        }}
      />
      {FIELDS.map((name) => (
        <SheetError key={name} name={name} />
      ))}
      <ProductTerm />
      <Questions about={['need.', 'product.']} />
    </Section>
  );
});
