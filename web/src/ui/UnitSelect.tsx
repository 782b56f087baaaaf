import { chakra } from '@chakra-ui/react';
import { UNITS, type UnitId } from '@steady-scatter/core/quantities';
import { fieldBox } from './fieldBox.ts';

const Select = chakra('select', { base: fieldBox });
type UnitProps<Id extends UnitId> = {
  label: string;
  value: Id;
  options: readonly Id[];
  onChange(unit: Id): void;
};

/** The unit of a field, chosen from a few. */
export const Unit = <Id extends UnitId>({ label, value, options, onChange }: UnitProps<Id>) => (
  <Select aria-label={label} value={value} onChange={(event) => onChange(event.target.value as Id)}>
    {options.map((id) => (
      <option key={id} value={id}>
        {UNITS[id].symbol}
      </option>
    ))}
  </Select>
);
