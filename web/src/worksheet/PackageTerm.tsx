import { toResult } from '@steady-scatter/core/errors';
import { readPackage, type PackageUnit } from '@steady-scatter/core/loads';
import { changedSi, retype, UNITS, type UnitChange } from '@steady-scatter/core/quantities';
import { useWatch } from 'react-hook-form';
import { useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { MASS_CHOICES, needsUnit, symbolOf, VOLUME_CHOICES } from '../units/units.ts';
import { UnitPicker } from '../ui/UnitPicker.tsx';

/** The size of one package, typed in place. It stands in two lines, so each says what it is called there. */
export function PackageTerm({ label, unitLabel }: { label: string; unitLabel: string }) {
  const form = useSheetForm();
  const { size, unit } = useWatch({ control: form.control, name: 'worksheet.product.package' });
  const choices: readonly PackageUnit[] = UNITS[unit].kind === 'volume' ? VOLUME_CHOICES : MASS_CHOICES;
  const reading = toResult(() => readPackage(size, unit, '')).value;
  const retyped = (id: PackageUnit) =>
    reading && ((change: UnitChange) => retype(changedSi(reading.si, reading.unit, id, change), id));
  return (
    <TypedTerm
      name="worksheet.product.package.size"
      label={label}
      placeholder="40"
      origin="label"
      unit={
        <UnitPicker<PackageUnit>
          label={unitLabel}
          current={reading?.unit ?? unit}
          shown={needsUnit(size) ? symbolOf(unit) : ''}
          options={choices.map((id) => ({ id, symbol: symbolOf(id), preview: retyped(id) }))}
          onPick={(id, change) => {
            form.setValue('worksheet.product.package.unit', id, { shouldDirty: true });
            form.setValue('worksheet.product.package.size', retyped(id)?.(change) ?? size, {
              shouldDirty: true,
            });
          }}
        />
      }
    />
  );
}
