import type { InputError } from '@steady-scatter/core/errors';
import type { FieldValues } from 'react-hook-form';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { fieldsOfPart } from '../documents/fields.ts';

/** What a part of a form is given, over a document that a test holds itself. */
export const formProps = <Input extends FieldValues>(
  input: Input,
  onChange: (next: Input) => void,
  errorAt: (field: string) => InputError | undefined = () => undefined,
): DocFormProps<Input> => ({ input, onChange, errorAt, ...fieldsOfPart(input, onChange, errorAt) });
