import { Box, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { memo, useId } from 'react';
import { errorId, FieldErrors } from '../../ui/FieldErrors.tsx';

const Input = chakra('input', {
  base: {
    width: '148px',
    minHeight: { base: '56px', md: '48px' },
    bg: 'transparent',
    textAlign: 'right',
    font: 'inherit',
    fontSize: '26px',
    fontWeight: 'bold',
    fontVariantNumeric: 'tabular-nums',
    paddingX: '4px',
    borderBottomWidth: '2px',
    borderColor: 'ink',
    _placeholder: { color: 'ink.soft', opacity: 0.6, fontWeight: 'normal', fontSize: '19px' },
    _hover: { bg: 'soft' },
    _focus: { bg: 'paper' },
    '&[aria-invalid=true]': { borderColor: 'warn' },
  },
});

interface Props {
  label: string;
  /** What a bare number counts in. */
  unit: string;
  placeholder: string;
  value: string;
  error: InputError | undefined;
  onChange(text: string): void;
}

/** A reading with its name on the left and its unit behind it, as large as a gloved thumb needs it. */
export const QuickField = memo(function QuickFieldOf({
  label,
  unit,
  placeholder,
  value,
  error,
  onChange,
}: Props) {
  const id = useId();
  return (
    <Box borderBottomWidth="1px" borderColor="line" paddingY="3px">
      <Box display="flex" alignItems="center" justifyContent="space-between" gap="10px">
        <chakra.label htmlFor={id} fontSize="18px" flex="1 1 auto">
          {label}
        </chakra.label>
        <Box display="flex" alignItems="baseline" gap="8px" flex="0 0 auto">
          <Input
            id={id}
            value={value}
            placeholder={placeholder}
            inputMode="decimal"
            autoComplete="off"
            data-flow
            aria-invalid={error !== undefined}
            aria-describedby={errorId(error)}
            onChange={(event) => onChange(event.target.value)}
          />
          <chakra.span fontSize="18px" color="ink.soft" minWidth="34px">
            {unit}
          </chakra.span>
        </Box>
      </Box>
      <FieldErrors error={error} input={value} onUse={onChange} />
    </Box>
  );
});
