import type { Fact, Message, Speak } from '@steady-scatter/core/messages';
import { checks } from './en/core/checks.ts';
import { errors } from './en/core/errors.ts';
import { fresh } from './en/core/fresh.ts';
import { kinds } from './en/core/kinds.ts';
import { lookUp } from './en/core/lookUp.ts';
import { questions } from './en/core/questions.ts';
import { working } from './en/core/working.ts';
import { sayer } from './say.ts';

/** What every screen may have to say of core. Other parts are learned by the screens that say them. */
const messages: Record<string, string> = {
  ...checks,
  ...errors,
  ...fresh,
  ...kinds,
  ...lookUp,
  ...questions,
  ...working,
};

/** From now on these are known too. */
export function learn(...parts: readonly Readonly<Record<string, string>>[]): void {
  Object.assign(messages, ...parts);
}

const { list, say } = sayer(messages);
// What core says is known by its id alone; tests hold each id and its facts against the catalogue.
const sayAny = say as unknown as (id: string, values: object) => string;

const isSaid = (fact: Fact): fact is Message => typeof fact === 'object' && 'id' in fact;

/** A fact as it stands in its sentence: numbers stay numbers, to count by. */
const told = (fact: Fact): string | number =>
  typeof fact === 'number' ? fact : typeof fact === 'string' ? fact : isSaid(fact) ? speak(fact) : list(fact.map(speak)); // prettier-ignore

/** A sentence begins with a capital letter, whatever it begins with. */
const begun = (text: string): string =>
  /[.?!]$/.test(text) ? `${text.charAt(0).toUpperCase()}${text.slice(1)}` : text;

/**
 * Says what core has to say. A name or an amount that stands for itself is passed through; what the catalogue does not have is told by
 * its id, so that a screen still stands.
 */
export const speak: Speak = (what) => {
  if (typeof what === 'string') return what;
  if (!(what.id in messages)) return what.id;
  return begun(sayAny(what.id, Object.fromEntries(Object.entries(what.facts).map(([name, fact]) => [name, told(fact)])))); // prettier-ignore
};

type Named = keyof typeof kinds;
type Table = Named extends infer Id ? (Id extends `kinds.${infer Of}.${string}` ? Of : never) : never;
type KindOf<Of extends Table> = Named extends infer Id
  ? Id extends `kinds.${Of}.${infer Kind}`
    ? Kind
    : never
  : never;

/** What one of the kinds of something is called: `nameOf('rig', 'boom')` is "boom sprayer". */
export const nameOf = <Of extends Table>(table: Of, kind: KindOf<Of>): string => kinds[`kinds.${table}.${kind}` as Named]; // prettier-ignore
