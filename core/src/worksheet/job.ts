import { message } from '../messages/message.ts';
import * as z from 'zod';
import { InputError, toResult } from '../errors/InputError.ts';
import { readDay, readName } from '../fields/heading.ts';
import { text, type InputOf } from '../fields/schema.ts';
import { answerWorksheet, type WorksheetAnswer } from './answer.ts';
import { AS_TYPED, worksheetInput } from './worksheetInput.ts';

/** A job as typed: a worksheet under a name, for a day. */
export const jobInput = z.object({ name: text, onDay: text, worksheet: worksheetInput });
export type JobInput = InputOf<typeof jobInput>;

export interface JobResult {
  readonly answer: WorksheetAnswer;
  readonly errors: readonly InputError[];
}

/**
 * Reads a job: its heading, and its worksheet worked out.
 *
 * @example evaluateJob({ name: '', onDay: '2026-04-18', worksheet: sheet }).errors[0].code // 'name.empty'
 */
export function evaluateJob({ name, onDay, worksheet }: JobInput): JobResult {
  const answer = answerWorksheet(worksheet, AS_TYPED);
  const heading = [
    toResult(() => readName(name, 'name', message('errors.example.job'))).error,
    toResult(() => readDay(onDay, 'onDay')).error,
  ];
  return {
    answer,
    errors: [
      ...heading.filter((error) => error !== null),
      ...answer.errors.map((error) => error.under('worksheet')),
    ],
  };
}
