import { message } from '../messages/message.ts';
import * as z from 'zod';
import { InputError, toResult } from '../errors/InputError.ts';
import { readDay, readName } from '../fields/heading.ts';
import { text, type InputOf } from '../fields/schema.ts';
import { answerWorksheet, type WorksheetAnswer } from './answer.ts';
import { systemOf } from '../quantities/units.ts';
import { evaluateLoad, type LoadResult } from './evaluateLoad.ts';
import { blankLoad, loadInput } from './loadInput.ts';
import { AS_TYPED, worksheetInput } from './worksheetInput.ts';

/** A job as typed: a worksheet under a name, for a day, and how it is loaded and walked. */
export const jobInput = z.object({ name: text, onDay: text, worksheet: worksheetInput, load: loadInput });
export type JobInput = InputOf<typeof jobInput>;

/**
 * A worksheet under a name, of whose load nothing was said yet.
 *
 * @example newJob({ name: 'Spring feed', onDay: '2026-04-18', worksheet: sheet }).load.trims // ''
 */
export const newJob = (of: Omit<JobInput, 'load'>): JobInput => ({
  ...of,
  load: blankLoad(systemOf(of.worksheet.need.unit)),
});

export interface JobResult {
  readonly answer: WorksheetAnswer;
  readonly load: LoadResult;
  readonly errors: readonly InputError[];
}

/**
 * Reads a job: its heading, and its worksheet worked out.
 *
 * @example evaluateJob({ name: '', onDay: '2026-04-18', worksheet: sheet, load: job.load }).errors[0].code // 'name.empty'
 */
export function evaluateJob({ name, onDay, worksheet, load: loadTyped }: JobInput): JobResult {
  const answer = answerWorksheet(worksheet, AS_TYPED);
  const load = evaluateLoad(loadTyped);
  const heading = [
    toResult(() => readName(name, 'name', message('errors.example.job'))).error,
    toResult(() => readDay(onDay, 'onDay')).error,
  ];
  return {
    answer,
    load,
    errors: [
      ...heading.filter((error) => error !== null),
      ...answer.errors.map((error) => error.under('worksheet')),
      ...load.errors.map((error) => error.under('load')),
    ],
  };
}
