/**
 * A change over what stands now: what it changed of the state that it started from, and everything else as it is by now. Two changes
 * of one moment, each made from the same drawing of a form, so do not undo each other.
 *
 * @param base what the change started from
 * @param change base with something changed: what it left alone is the same object
 * @param now what stands by now
 */
export function mergedOver<Typed extends object>(base: Typed, change: Typed, now: Typed): Typed {
  if (now === base) return change;
  const keys = Object.keys({ ...now, ...change }) as (keyof Typed)[];
  return Object.fromEntries(keys.map((key) => [key, change[key] === base[key] ? now[key] : change[key]])) as Typed; // prettier-ignore
}
