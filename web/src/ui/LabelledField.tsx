import { Box, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { memo, useId, type ComponentProps, type ReactNode } from 'react';
import { errorId, FieldErrors } from './FieldErrors.tsx';
import { fieldBox } from './fieldBox.ts';

const Input = chakra('input', { base: { ...fieldBox, width: '100%' } });

type Props = Omit<ComponentProps<typeof Input>, 'onChange' | 'value'> & {
  label: string;
  value: string;
  onChange(text: string): void;
  error?: InputError | undefined;
  /** Stands after the field: its unit. */
  unit?: ReactNode;
};

/** A field of a form with its label over it, its unit after it and its sentence under it. */
export const LabelledField = memo(function LabelledFieldOf({
  label,
  value,
  onChange,
  error,
  unit,
  ...rest
}: Props) {
  const id = useId();
  return (
    <Box minWidth={0}>
      <chakra.label htmlFor={id} fontSize="15px" fontWeight="semibold" color="ink.soft" display="block">
        {label}
      </chakra.label>
      <Box display="flex" gap="6px" alignItems="center">
        <Input
          id={id}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          aria-invalid={error !== undefined}
          aria-describedby={errorId(error)}
          autoComplete="off"
          data-flow
          {...rest}
        />
        {unit}
      </Box>
      <FieldErrors error={error} input={value} onUse={onChange} />
    </Box>
  );
});
