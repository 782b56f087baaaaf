import type { InputError } from '@steady-scatter/core/errors';
import { answerWorksheet, type WorksheetAnswer, type WorksheetInput } from '@steady-scatter/core/worksheet';
import {
  createContext,
  use,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { FormProvider, useFormContext, useWatch, type UseFormReturn } from 'react-hook-form';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { useShared } from '../ui/useShared.ts';
import type { SheetForm } from './sheetForms.ts';

/** What every part of an open sheet shares: the live answer. */
export interface Sheet {
  readonly answer: WorksheetAnswer;
  /** What the answer is of: a moment behind what is being typed. */
  readonly worksheet: WorksheetInput;
  /** Marks a field as being typed in: its error waits until the typing pauses. */
  typingIn(field: string): void;
  doneTyping(): void;
}

const SheetContext = createContext<Sheet | null>(null);
/** The field that is being typed in: apart, so that the first key in a field draws nothing anew but errors. */
const TypedContext = createContext<string | null>(null);
const PAUSE_MS = 900;

/** Keeps the path of the field that is being typed in, until a pause or until it is left. */
function useTyping() {
  const [field, setField] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const doneTyping = useCallback(() => {
    clearTimeout(timer.current);
    setField(null);
  }, []);
  const typingIn = useCallback(
    (path: string) => {
      clearTimeout(timer.current);
      setField(path);
      timer.current = setTimeout(doneTyping, PAUSE_MS);
    },
    [doneTyping],
  );
  useEffect(() => () => clearTimeout(timer.current), []);
  return { field, typingIn, doneTyping };
}

/** Works the sheet out at each keystroke and shares the answer. */
export function SheetProvider({ form, children }: { form: UseFormReturn<SheetForm>; children: ReactNode }) {
  const typed = useShared(useWatch({ control: form.control, name: 'worksheet' }));
  // A key is shown at once; what it comes to follows, and gives way to the next key.
  const worksheet = useDeferredValue(typed);
  const { units } = usePreferences().preferences;
  const { field, typingIn, doneTyping } = useTyping();
  const answer = useShared(useMemo(() => answerWorksheet(worksheet, units), [worksheet, units]));
  const sheet = useMemo<Sheet>(
    () => ({
      answer,
      worksheet,
      typingIn,
      doneTyping,
    }),
    [answer, worksheet, typingIn, doneTyping],
  );
  return (
    <FormProvider {...form}>
      <SheetContext value={sheet}>
        <TypedContext value={field}>{children}</TypedContext>
      </SheetContext>
    </FormProvider>
  );
}

/** The open sheet. */
export function useSheet(): Sheet {
  const sheet = use(SheetContext);
  if (!sheet) throw new Error('useSheet needs a SheetProvider above it.');
  return sheet;
}

/** Finds the error of a field of the open sheet that is ready to be said: none while somebody is typing in that field. */
export function useErrorAt(): (field: string) => InputError | undefined {
  const { errors } = useSheet().answer;
  const typed = use(TypedContext);
  return (field) => (field === typed ? undefined : errors.find((error) => error.field === field));
}

/** The form of the open sheet. */
export const useSheetForm = (): UseFormReturn<SheetForm> => useFormContext<SheetForm>();
