import { Box, chakra } from '@chakra-ui/react';
import { useId } from 'react';
import { fieldBox } from './fieldBox.ts';

const Select = chakra('select', { base: { ...fieldBox, width: '100%' } });

interface Props<Id extends string> {
  label: string;
  value: Id;
  options: readonly { readonly id: Id; readonly label: string }[];
  /** It stands as it is: something rests on it. */
  isFixed?: boolean;
  onChange(id: Id): void;
}

/** One of a few, in a form, with its label over it. */
export function Choice<Id extends string>({ label, value, options, isFixed = false, onChange }: Props<Id>) {
  const id = useId();
  return (
    <Box minWidth={0}>
      <chakra.label htmlFor={id} fontSize="15px" fontWeight="semibold" color="ink.soft" display="block">
        {label}
      </chakra.label>
      <Select
        id={id}
        value={value}
        disabled={isFixed}
        onChange={(event) => onChange(event.target.value as Id)}
      >
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.label}
          </option>
        ))}
      </Select>
    </Box>
  );
}
