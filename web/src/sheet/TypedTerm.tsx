import type { Origin } from '@steady-scatter/core/working';
import { memo, type ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { errorId } from '../ui/FieldErrors.tsx';
import { TermInput } from '../ui/TermInput.tsx';
import { fieldOf, type SheetPath } from './SheetError.tsx';
import type { SheetForm } from './sheetForms.ts';
import { useErrorAt, useSheet, type Sheet } from './sheet.tsx';

interface Props {
  name: SheetPath;
  label: string;
  placeholder: string;
  origin: Origin;
  unit?: ReactNode;
  autoFocus?: boolean;
  /** Something else than before stands in it. */
  onTyped?(): void;
  onSettled?(): void;
}

interface FieldProps extends Props, Pick<Sheet, 'typingIn' | 'doneTyping'> {
  path: string;
  errorId: string | undefined;
}

/** The field itself: not drawn anew when something else of the sheet comes to another result. */
const TermField = memo(function TermFieldOf({
  name,
  path,
  typingIn,
  doneTyping,
  onTyped,
  onSettled,
  ...rest
}: FieldProps) {
  const { field } = useController<SheetForm, typeof name>({ name });
  return (
    <TermInput
      {...rest}
      {...field}
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
});

/** A term of the open sheet that is typed in place; its error waits for a pause in the typing. */
export function TypedTerm(props: Props) {
  const { typingIn, doneTyping } = useSheet();
  const errorAt = useErrorAt();
  const path = fieldOf(props.name);
  return (
    <TermField
      {...props}
      path={path}
      errorId={errorId(errorAt(path))}
      typingIn={typingIn}
      doneTyping={doneTyping}
    />
  );
}
