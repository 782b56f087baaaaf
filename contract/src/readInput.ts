import { upgradedOver, type Json } from '@steady-scatter/core/fields';
import * as z from 'zod';
import { addInputErrors } from './inputIssues.ts';
import type { Shape } from './kinds/kind.ts';

/** Paths of fields that stand in one thing and not in the other. */
function unknownFields(
  given: unknown,
  known: unknown,
  path: readonly (string | number)[] = [],
): (string | number)[][] {
  if (Array.isArray(given) && Array.isArray(known))
    return given.flatMap((each, index) => unknownFields(each, known[index], [...path, index]));
  if (typeof given !== 'object' || given === null || typeof known !== 'object' || known === null) return [];
  return Object.entries(given).flatMap(([key, value]) =>
    Object.hasOwn(known, key) ? unknownFields(value, (known as Json)[key], [...path, key]) : [[...path, key]],
  );
}

/**
 * Reads what somebody wants to store, strictly: brought up to date, of the shape of its kind, with no field too many, and with
 * nothing in it that core cannot read.
 *
 * @param standing what is stored so far, at the current version; null for a new one
 * @throws ZodError with each wrong field, its path from `input` on
 */
export function readInput<Input>(
  kind: Omit<Shape<Input>, 'words'>,
  { schemaVersion, input }: { readonly schemaVersion: number; readonly input: Json },
  standing: Json | null = null,
): Input {
  const whole =
    schemaVersion < kind.schemaVersion ? upgradedOver(kind.upgrades, schemaVersion, input, standing) : input;
  const strict = z.unknown().transform((given, context): Input => {
    const { data, error } = kind.schema.safeParse(given);
    if (error) {
      for (const issue of error.issues) context.issues.push({ ...issue, input: given } as never);
      return z.NEVER;
    }
    for (const path of unknownFields(given, data))
      context.addIssue({ code: 'custom', path, message: `There is no field “${path.join('.')}”.`, params: { code: 'body.unrecognized_keys', hint: null } }); // prettier-ignore
    addInputErrors(context, kind.evaluate(data).errors);
    return data;
  });
  return z.object({ input: strict }).parse({ input: whole }).input;
}

/** Whether something was written by a later version than this one: it cannot be read here. */
export const isLaterSchema = (kind: Pick<Shape, 'schemaVersion'>, schemaVersion: number): boolean =>
  schemaVersion > kind.schemaVersion;
