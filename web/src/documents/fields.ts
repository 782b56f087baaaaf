import type { InputError } from '@steady-scatter/core/errors';
import {
  get,
  type ArrayPath,
  type FieldArray,
  type FieldValues,
  type Path,
  type PathValue,
  type UseFormReturn,
} from 'react-hook-form';
import { LongList } from './longList.ts';

/** What a choice is given of a field: its value, and how it changes. */
export interface Bound<Value> {
  readonly value: Value;
  onChange(value: Value): void;
}

/** What a typed field is given: the same, and what is wrong with it. */
export interface BoundField<Value> extends Bound<Value> {
  readonly error: InputError | undefined;
}

type Put = (path: string, value: never) => void;
type ErrorAt = (field: string) => InputError | undefined;

/** The fields of something by their paths, as they are named in what is stored: `hopper.size`. */
export interface FieldsOf<Input extends FieldValues> {
  set<At extends Path<Input>>(path: At, value: PathValue<Input, At>): void;
  bind<At extends Path<Input>>(path: At): Bound<PathValue<Input, At>>;
  field<At extends Path<Input>>(path: At): BoundField<PathValue<Input, At>>;
  /** Puts one more at the end of a list. */
  add<At extends ArrayPath<Input>>(path: At, item: FieldArray<Input, At>): void;
  removeAt(path: ArrayPath<Input>, index: number): void;
}

function fieldsBy<Input extends FieldValues>(
  input: Input,
  put: Put,
  errorAt: ErrorAt,
  changeOf: (path: string) => (value: never) => void = (path) => (value) => put(path, value),
): FieldsOf<Input> {
  const list = (path: string) => get(input, path) as readonly unknown[];
  const bind: FieldsOf<Input>['bind'] = (path) => ({
    value: get(input, path),
    onChange: changeOf(path),
  });
  return {
    bind,
    set: put,
    field: (path) => ({ ...bind(path), error: errorAt(path) }),
    add: (path, item) => put(path, [...list(path), item] as never),
    removeAt: (path, index) => put(path, list(path).toSpliced(index, 1) as never),
  };
}

interface Puts {
  readonly put: Put;
  readonly byPath: Map<string, (value: never) => void>;
}
const PUTS = new WeakMap<object, Puts>();

/** How the fields of a form change: the same from key to key, so that what shows another field is not drawn anew. */
function putsOf<Input extends FieldValues>({ control, setValue, getValues }: UseFormReturn<Input>): Puts {
  const known = PUTS.get(control);
  if (known) return known;
  const put: Put = (path, value) => {
    const [name = '', ...rest] = path.split('.');
    const held: unknown = getValues(name as Path<Input>);
    const isLong = held instanceof LongList;
    const next = isLong ? new LongList(withValue(held.items, rest, value) as unknown[]) : value;
    setValue((isLong ? name : path) as Path<Input>, next as never, { shouldDirty: true });
  };
  const puts = { put, byPath: new Map<string, (value: never) => void>() };
  PUTS.set(control, puts);
  return puts;
}

function onChangeAt({ put, byPath }: Puts, path: string): (value: never) => void {
  const known = byPath.get(path) ?? ((value: never) => put(path, value));
  byPath.set(path, known);
  return known;
}

/** @param input what the form shows now */
export function fieldsOf<Input extends FieldValues>(
  form: UseFormReturn<Input>,
  input: Input,
  errorAt: ErrorAt,
): FieldsOf<Input> {
  const puts = putsOf(form);
  return fieldsBy(input, puts.put, errorAt, (path) => onChangeAt(puts, path));
}

/** The same thing with another value at a path; what the path does not touch stays the same object. */
function withValue(whole: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  const copy = (Array.isArray(whole) ? [...(whole as unknown[])] : { ...(whole as object) }) as Record<
    string,
    unknown
  >;
  copy[key] = withValue(copy[key], rest, value);
  return copy;
}

/** The fields of a part of a document, changed as a whole: an area of a site, a test run of a calibration. Changes of one moment add up. */
export function fieldsOfPart<Input extends FieldValues>(
  part: Input,
  onChange: (next: Input, path: string) => void,
  errorAt: ErrorAt,
): FieldsOf<Input> {
  let next = part;
  const put: Put = (path, value) => {
    next = withValue(next, path.split('.'), value) as Input;
    onChange(next, path);
  };
  return fieldsBy(part, put, errorAt);
}

/** A yes or no as one of two named choices. */
export const asChoice = <Yes extends string, No extends string>(
  { value, onChange }: Bound<boolean>,
  yes: Yes,
  no: No,
): Bound<Yes | No> => ({ value: value ? yes : no, onChange: (chosen) => onChange(chosen === yes) });

/** Whether something is wrong with one of these fields. */
export const isWrongAt = ({ errorAt }: { errorAt: ErrorAt }, ...fields: readonly string[]): boolean =>
  fields.some((each) => errorAt(each) !== undefined);
