import type { Problem, ProblemCode, StoredDocument } from '@steady-scatter/contract';

/** The server refused, and said why. */
export class ApiProblem extends Error {
  readonly problem: Problem;
  /** For a write that met another one: what stands on the server, null when it was deleted. */
  readonly changedElsewhere: { readonly theirs: StoredDocument<never> | null } | null;

  constructor(problem: Problem, changedElsewhere: ApiProblem['changedElsewhere'] = null) {
    super('errors' in problem ? (problem.errors[0]?.message ?? problem.detail) : problem.detail);
    this.problem = problem;
    this.changedElsewhere = changedElsewhere;
  }

  /** Whether it is one of these. */
  is(...codes: readonly ProblemCode[]): boolean {
    return codes.some((code) => this.problem.type === `/problems/${code}`);
  }
}

/** The server answers, but not with this version of the page: it was renewed meanwhile. */
export class Renewed extends Error {}

/** The server does not take what was sent, for the reason that is its message. */
export class NotTaken extends Error {}

/** The server could not be reached at all. */
export class Unreachable extends Error {}
