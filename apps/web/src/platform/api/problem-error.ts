import type { FieldProblem, Problem, ProblemReason, UsedBy } from '@hapset/contract';

/** What a page can be told of: the server's problem, or that it could not be reached. */
export type ApiReason = ProblemReason | 'unreachable';

export class ApiError extends Error {
  readonly fields: readonly FieldProblem[];
  readonly warnings: readonly string[];
  readonly usedBy: UsedBy | null;

  constructor(
    readonly reason: ApiReason,
    problem: Partial<Problem> = {},
  ) {
    super(problem.message ?? reason);
    this.fields = problem.fields ?? [];
    this.warnings = problem.warnings ?? [];
    this.usedBy = problem.usedBy ?? null;
  }
}

/** Whether the server could not be asked at all: asked again, it may do what was wanted. */
export function isAway(error: unknown): boolean {
  return error instanceof ApiError && (error.reason === 'unreachable' || error.reason === 'unavailable');
}
