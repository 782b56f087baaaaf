import type { Origin } from '@steady-scatter/core/working';
import type { ReactNode } from 'react';
import { useController, type FieldPathByValue } from 'react-hook-form';
import { errorId } from '../ui/FieldErrors.tsx';
import { TermInput } from '../ui/TermInput.tsx';
import type { SheetForm } from './sheetForms.ts';
import { useSheet } from './sheet.tsx';

interface Props {
  /** Path of the text in the form; without `worksheet.` it is the path of its error. */
  name: FieldPathByValue<SheetForm, string> & `worksheet.${string}`;
  label: string;
  placeholder: string;
  origin: Origin;
  unit?: ReactNode;
  autoFocus?: boolean;
  /** Something else than before stands in it. */
  onTyped?(): void;
  onSettled?(): void;
}

/** A term of the open sheet that is typed in place; its error waits for a pause in the typing. */
export function TypedTerm({ name, onTyped, onSettled, ...rest }: Props) {
  const { field } = useController<SheetForm, typeof name>({ name });
  const { errorAt, typingIn, doneTyping } = useSheet();
  const path = name.replace('worksheet.', '');
  return (
    <TermInput
      {...rest}
      {...field}
      errorId={errorId(errorAt(path))}
      onChange={(event) => {
        typingIn(path);
        field.onChange(event);
        onTyped?.();
      }}
      onBlur={() => {
        field.onBlur();
        doneTyping();
        onSettled?.();
      }}
    />
  );
}
