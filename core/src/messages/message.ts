/** What fills a place of a sentence: a name or an amount as it stands, a number to count by, something said itself, or a list. */
export type Fact = string | number | Message | readonly (string | Message)[];

export type Facts = Readonly<Record<string, Fact>>;

/** What is to be said, as data: which sentence, and what fills its places. A catalogue has the words, in whichever language. */
export interface Message {
  readonly id: string;
  readonly facts: Facts;
}

/**
 * Something to be said, by its name in a catalogue of words.
 *
 * @param id `group.meaning`
 * @example message('advice.runs', { count: 2 }) // { id: 'advice.runs', facts: { count: 2 } }
 */
export const message = (id: string, facts: Facts = {}): Message => ({ id, facts });

/**
 * Each thing to be said once.
 *
 * @example eachOnce([message('errors.file.empty'), message('errors.file.empty')]).length // 1
 */
export const eachOnce = (all: readonly Message[]): Message[] => [
  ...new Map(all.map((one) => [JSON.stringify(one), one])).values(),
];

/** Says something in a language; a name or an amount that stands for itself is passed through. */
export type Speak = (what: Message | string) => string;
