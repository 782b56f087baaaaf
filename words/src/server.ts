import { server } from './en/server.ts';
import { sayer } from './say.ts';

/** What the server says, whoever asks: titles and sentences of problems. */
export const { say } = sayer(server);

export type ProblemName = keyof typeof server extends infer Id
  ? Id extends `server.${infer Code}.title`
    ? Code
    : never
  : never;

/** The title and the sentence of a problem. */
export const problemWords = (code: ProblemName): { title: string; detail: string } => ({
  title: say(`server.${code}.title`),
  detail: say(`server.${code}.detail`),
});
