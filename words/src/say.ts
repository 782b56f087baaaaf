import { IntlMessageFormat } from 'intl-messageformat';
import { pseudo } from './pseudo.ts';

/** Set where the app is built to be looked at in a language that is longer. */
declare const PSEUDO_LANGUAGE: boolean | undefined;
const isPseudo = typeof PSEUDO_LANGUAGE !== 'undefined' && PSEUDO_LANGUAGE;

/** In the text of a message, or inside the braces of an argument. */
type Place = 'text' | 'argument';
type Other<At extends Place> = At extends 'text' ? 'argument' : 'text';

/** Where one is after the closing braces of a stretch of text. */
type Past<Text extends string, At extends Place> = Text extends `${string}}${infer Rest}`
  ? Past<Rest, Other<At>>
  : At;

type Trimmed<Text extends string> = Text extends ` ${infer Rest}` | `${infer Rest} ` ? Trimmed<Rest> : Text;

/** What an argument is called and what it takes: `{count, plural, ...}` takes a number, `{kind, select, ...}` a text, `{name}` either. */
type Argument<Text extends string> = Text extends `${infer Before}}${string}`
  ? Before extends `${infer Name},${infer Kind}`
    ? { readonly [Key in Trimmed<Name>]: Trimmed<Kind> extends `select${string}` ? string : number }
    : { readonly [Key in Trimmed<Before>]: string | number }
  : Text extends `${infer Name},${infer Kind}`
    ? { readonly [Key in Trimmed<Name>]: Trimmed<Kind> extends `select${string}` ? string : number }
    : never;

/** Up to the first brace of the rest: what an argument says of itself. */
type HeadOf<Text extends string> = Text extends `${infer Head}{${string}`
  ? Head extends `${infer Short}}${string}`
    ? `${Short}}`
    : Head
  : Text;

type All<Text extends string, At extends Place> = Text extends `${infer Before}{${infer Rest}`
  ? Past<Before, At> extends 'text'
    ? Argument<HeadOf<Rest>> & All<Rest, 'argument'>
    : All<Rest, 'text'>
  : unknown;

/** What a message has to be given. */
export type ValuesOf<Text extends string> = All<Text, 'text'>;

/** The tags of a message: `<b>` of "set to <b>12</b>". */
export type TagsOf<Text extends string> = Text extends `${string}</${infer Tag}>${infer Rest}`
  ? Tag | TagsOf<Rest>
  : never;

/** Messages by their ids. */
export type Catalogue = Readonly<Record<string, string>>;

/** Nothing where a message takes nothing. */
type Given<Values> = unknown extends Values ? [] : [values: Values];

/** Says a message of a catalogue. */
export type Say<Messages extends Catalogue> = <Id extends keyof Messages>(
  id: Id,
  ...given: Given<ValuesOf<Messages[Id]>>
) => string;

/** Says a message with tags: what stands inside each is made by a function of that name. */
export type SayRich<Messages extends Catalogue> = <Id extends keyof Messages, Part>(
  id: Id,
  values: ValuesOf<Messages[Id]> &
    Readonly<Record<TagsOf<Messages[Id]>, (inside: (string | Part)[]) => Part>>,
) => (string | Part)[];

const MARKS = /[{}<']/;
/** Nothing but plain arguments: they are put in without reading the message as more. */
const PLAIN = /^(?:[^{}<']|\{\w+\})*$/;
const ARGUMENT = /\{(\w+)\}/g;

/** A plain message with what it is given; null where something of that is missing. */
function filledIn(text: string, given: Readonly<Record<string, string | number>> = {}): string | null {
  let isWhole = true;
  const filled = text.replaceAll(ARGUMENT, (_, name: string) => {
    isWhole &&= given[name] !== undefined;
    return String(given[name]);
  });
  return isWhole ? filled : null;
}

/**
 * The ways to say what stands in a catalogue.
 *
 * @param language as of BCP 47: it decides on plurals and numbers
 */
export function sayer<const Messages extends Catalogue>(
  messages: Messages,
  language = 'en-US',
): {
  readonly say: Say<Messages>;
  readonly rich: SayRich<Messages>;
  /** "A, B and C". */
  list(items: readonly string[]): string;
} {
  // Made when the first one is said: a list takes longer to make ready than all the messages of the first screen.
  let lists: Intl.ListFormat | undefined;
  const read = new Map<keyof Messages, IntlMessageFormat>();
  const messageOf = (id: keyof Messages): IntlMessageFormat => {
    const text = messages[id] ?? '';
    const known = read.get(id) ?? new IntlMessageFormat(isPseudo ? pseudo(text) : text, language);
    read.set(id, known);
    return known;
  };
  return {
    say(id, ...[values]) {
      const text: string = messages[id] ?? '';
      const given = values as Readonly<Record<string, string | number>> | undefined;
      if (isPseudo) return String(messageOf(id).format(given));
      if (!MARKS.test(text)) return text;
      return (PLAIN.test(text) ? filledIn(text, given) : null) ?? String(messageOf(id).format(given));
    },
    list(items) {
      lists ??= new Intl.ListFormat(language);
      return lists.format(items);
    },
    rich<Part>(id: keyof Messages, values: unknown) {
      const said = messageOf(id).format<Part>(values as Record<string, Part>);
      return Array.isArray(said) ? said : [said];
    },
  };
}
