import { chakra } from '@chakra-ui/react';
import { fieldBox } from '../ui/fieldBox.ts';

const Search = chakra('input', { base: { ...fieldBox, width: { base: '100%', md: '320px' } } });

/** So many are looked through by eye. */
export const FEW = 12;

interface Props {
  label: string;
  placeholder?: string;
  value: string;
  onChange(value: string): void;
}

/** Where one types what a list is to be searched for. */
export const SearchField = ({ label, placeholder = label, value, onChange }: Props) => (
  <Search
    type="search"
    aria-label={label}
    placeholder={placeholder}
    value={value}
    onChange={(event) => onChange(event.target.value)}
  />
);
