import { Box } from '@chakra-ui/react';
import {
  attempt,
  changedSi,
  readPackage,
  retype,
  type MassUnit,
  type UnitChange,
} from '@steady-scatter/core';
import { useWatch } from 'react-hook-form';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { useShowIn } from '../jobs/useShowIn.ts';
import { TypedTerm } from '../jobs/TypedTerm.tsx';
import { MASS_CHOICES, needsUnit, symbolOf } from '../need/units.ts';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { Section } from '../ui/Section.tsx';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';

function PackageTerm() {
  const form = useSheetForm();
  const { size, unit } = useWatch({ control: form.control, name: 'worksheet.package' });
  const reading = attempt(() => readPackage(size, unit, '')).value;
  const retyped = (id: MassUnit) =>
    reading && ((change: UnitChange) => retype(changedSi(reading.si, reading.unit, id, change), id));
  return (
    <TypedTerm
      name="worksheet.package.size"
      label="Package size"
      placeholder="40"
      origin="label"
      unit={
        <UnitPicker<MassUnit>
          label="unit of the package"
          current={reading?.unit ?? unit}
          shown={needsUnit(size) ? symbolOf(unit) : ''}
          options={MASS_CHOICES.map((id) => ({ id, symbol: symbolOf(id), preview: retyped(id) }))}
          onPick={(id, change) => {
            form.setValue('worksheet.package.unit', id, { shouldDirty: true });
            form.setValue('worksheet.package.size', retyped(id)?.(change) ?? size, { shouldDirty: true });
          }}
        />
      }
    />
  );
}

const NAMES = {
  rate: 'Product rate',
  'total.area': 'All the ground',
  'total.amount': 'Amount in all',
  back: 'Nutrient put down',
};

/** In all: the whole amount, the packages it takes, and the check back to the need. */
export function LoadSection({ onEnter }: { onEnter(): void }) {
  const { answer, errorAt } = useSheet();
  const form = useSheetForm();
  const typed = useWatch({ control: form.control, name: 'worksheet.package.size' });
  const { total, packages, back } = answer.lines;
  const showIn = {
    rate: useShowIn('rate'),
    'total.area': useShowIn('area'),
    'total.amount': useShowIn('amount'),
  };
  return (
    <Section id="load" heading={total.label} onEnter={onEnter}>
      <WorkingLine working={total} names={NAMES} showIn={showIn} />
      <WorkingLine
        working={packages}
        names={NAMES}
        showIn={showIn}
        editors={{ 'package.size': <PackageTerm /> }}
      />
      <FieldErrors
        error={errorAt('package.size')}
        typed={typed}
        onUse={(text) => form.setValue('worksheet.package.size', text, { shouldDirty: true })}
      />
      {answer.numbers.backKgPerM2 !== null && (
        <Box marginTop="14px" paddingTop="12px" borderTopWidth="1px" borderColor="line">
          <WorkingLine working={back} names={NAMES} showIn={showIn} size="plain" />
        </Box>
      )}
    </Section>
  );
}
