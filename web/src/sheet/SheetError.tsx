import type { FieldPathByValue } from 'react-hook-form';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { useErrorAt, useSheetForm } from './sheet.tsx';
import type { SheetForm } from './sheetForms.ts';

/** Path of a text in the form of a sheet. */
export type SheetPath = FieldPathByValue<SheetForm, string> & `worksheet.${string}`;

/** What the errors of that text are called by. */
export const fieldOf = (name: SheetPath): string => name.replace('worksheet.', '');

/** What is wrong with a text of the open sheet, in a sentence under it; what would be right is one act away. */
export function SheetError({ name }: { name: SheetPath }) {
  const form = useSheetForm();
  const errorAt = useErrorAt();
  return (
    <FieldErrors
      error={errorAt(fieldOf(name))}
      input={form.getValues(name)}
      onUse={(text) => form.setValue(name, text, { shouldDirty: true })}
    />
  );
}
