import type { FieldValues, UseFormReturn } from 'react-hook-form';

/**
 * A long list as one value of a form: a form copies all that it holds at each key, and five hundred test runs take longer than a frame.
 * It is never changed in place: one that says something else is another one.
 */
export class LongList {
  readonly items: readonly unknown[];
  constructor(items: readonly unknown[]) {
    this.items = items;
  }
}

/** What a form is given of something whose long list has this name; without one it is what it is. */
export const packed = <Input extends FieldValues>(input: Input, name: string | undefined): Input =>
  name === undefined ? input : { ...input, [name]: new LongList(input[name] as unknown[]) };

/** The same the other way: what a form holds as it is typed and stored. */
export function unpacked<Input extends FieldValues>(held: Input, name: string | undefined): Input {
  const list: unknown = name === undefined ? null : held[name];
  return list instanceof LongList ? { ...held, [name!]: list.items } : held;
}

/** A form as what is typed in it, whatever it holds of that. */
export const valuesOf = <Input extends FieldValues>(
  form: UseFormReturn<Input>,
  name: string | undefined,
) => ({
  get: (): Input => unpacked(form.getValues(), name),
  put: (next: Input): void => form.reset(packed(next, name)),
});
