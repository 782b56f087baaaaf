import { things } from './en/things.ts';
import { sayer } from './say.ts';

const { say } = sayer(things);

type Ids = keyof typeof things;

/** What one of a kind of things that are stored or measured is called: of `soilTests` "soil test". */
export const oneOf = (name: string): string => say(`things.${name}.one` as Ids);

/** What many of them are called: "soil tests". */
export const manyOf = (name: string): string => say(`things.${name}.many` as Ids);
