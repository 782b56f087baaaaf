import type { Problem } from '@steady-scatter/contract';
import type { InputError } from '@steady-scatter/core';

type Detail = Omit<Problem, 'type' | 'requestId'>;

/** A request that is answered with a problem: thrown by services, turned into problem+json at the edge. */
export class Refusal extends Error {
  readonly problem: Detail;
  /** Further members of the problem, such as what stands on the server when a write is out of date. */
  readonly more: Readonly<Record<string, unknown>>;

  constructor(problem: Detail, more: Readonly<Record<string, unknown>> = {}) {
    super(problem.detail);
    this.problem = problem;
    this.more = more;
  }
}

export const notFound = (what: string): Refusal =>
  new Refusal({
    status: 404,
    title: 'Not found',
    detail: `There is no ${what} here. It may have been deleted.`,
  });

export const idTaken = (): Refusal =>
  new Refusal({
    status: 409,
    title: 'Id taken',
    detail: 'Something else is kept under this id. Make a new one.',
  });

export const outOfDate = (theirs: unknown): Refusal =>
  new Refusal(
    { status: 409, title: 'Changed elsewhere', detail: 'This was changed elsewhere since you opened it.' },
    { theirs },
  );

export const databaseDown = (parts: Readonly<Record<string, unknown>> = {}): Refusal =>
  new Refusal(
    {
      status: 503,
      title: 'Database not reachable',
      detail: 'The database does not answer. What you typed stays here; try again in a moment.',
    },
    parts,
  );

export const diskFull = (): Refusal =>
  new Refusal({
    status: 507,
    title: 'Disk full',
    detail: 'The disk of the machine that keeps this is full, so nothing more can be kept. What you typed stays here. Make room there, then try again.',
  }); // prettier-ignore

/** A change that would overwrite or drop what was measured. */
export const wouldLose = (lost: readonly InputError[]): Refusal =>
  new Refusal({
    status: 422,
    title: 'Something measured would be lost',
    detail: lost[0]?.message ?? '',
    errors: lost.map(({ field, code, message, hint }) => ({ path: field.split('.'), code, message, hint })),
  });
