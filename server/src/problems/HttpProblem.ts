import { PROBLEMS, problemType, type ProblemCode, type ProblemFacts } from '@steady-scatter/contract';
import type { InputError } from '@steady-scatter/core/errors';
import { problemWords, say } from '@steady-scatter/words/server';
import { speak } from '@steady-scatter/words/everything';

/** What may be said in place of the catalogue's own sentence. */
interface Words {
  readonly detail?: string;
}

/** A request that is answered with a problem: thrown by services, turned into problem+json at the edge. */
export class HttpProblem<Code extends ProblemCode = ProblemCode> extends Error {
  readonly code: Code;
  readonly facts: object;

  constructor(code: Code, facts: ProblemFacts<Code> & Words) {
    const { detail = problemWords(code).detail, ...rest } = facts;
    super(detail);
    this.code = code;
    this.facts = rest;
  }

  get status(): number {
    return PROBLEMS[this.code].status;
  }

  /** As it goes over the wire. */
  body(requestId: unknown): object {
    const { title } = problemWords(this.code);
    return {
      type: problemType(this.code),
      title,
      status: this.status,
      detail: this.message,
      requestId,
      ...this.facts,
    };
  }
}

/** A problem that carries nothing but its words. */
export const plainProblem = (
  code: Exclude<ProblemCode, 'invalid' | 'would-lose' | 'changed-elsewhere'>,
  detail?: string,
): HttpProblem => new HttpProblem(code, detail === undefined ? {} : { detail });

/** @param one what it is called: "job" */
export const notFound = (one: string): HttpProblem =>
  plainProblem('not-found', say('server.noSuch', { one }));

/** A change that would overwrite or drop what was measured. */
export const wouldLose = (lost: readonly InputError[]): HttpProblem =>
  new HttpProblem('would-lose', {
    detail: lost[0] ? speak(lost[0].sentence) : problemWords('would-lose').detail,
    errors: lost.map(({ field, code, sentence, hint }) => ({
      path: field.split('.'),
      code,
      message: speak(sentence),
      hint,
    })),
  });
