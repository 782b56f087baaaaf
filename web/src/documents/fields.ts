import type { InputError } from '@steady-scatter/core/errors';
import { get, type FieldValues, type Path, type PathValue, type UseFormReturn } from 'react-hook-form';

/** What a choice is given of a field: its value, and how it changes. */
export interface Bound<Value> {
  readonly value: Value;
  onChange(value: Value): void;
}

/** What a typed field is given: the same, and what is wrong with it. */
export interface BoundField<Value> extends Bound<Value> {
  readonly error: InputError | undefined;
}

/** The fields of a form by their paths, as they are named in what is stored: `hopper.size`. */
export interface FieldsOf<Input extends FieldValues> {
  bind<At extends Path<Input>>(path: At): Bound<PathValue<Input, At>>;
  field<At extends Path<Input>>(path: At): BoundField<PathValue<Input, At>>;
}

/** @param input what the form shows now */
export function fieldsOf<Input extends FieldValues>(
  form: UseFormReturn<Input>,
  input: Input,
  errorAt: (field: string) => InputError | undefined,
): FieldsOf<Input> {
  const bind: FieldsOf<Input>['bind'] = (path) => ({
    value: get(input, path) as PathValue<Input, typeof path>,
    onChange: (value) => form.setValue(path, value, { shouldDirty: true }),
  });
  return { bind, field: (path) => ({ ...bind(path), error: errorAt(path) }) };
}
