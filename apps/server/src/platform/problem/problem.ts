/** A problem that the caller should hear of. Thrown by services, put into HTTP by the filter alone. */
import type { FieldProblem, Problem, ProblemReason } from '@hapset/contract';

export class ProblemError extends Error {
  constructor(
    readonly reason: ProblemReason,
    message: string,
    readonly more: {
      readonly fields?: readonly FieldProblem[];
      readonly warnings?: readonly string[];
      readonly retryAfterS?: number;
    } = {},
  ) {
    super(message);
  }

  toProblem(): Problem {
    const { fields, warnings } = this.more;
    return { reason: this.reason, message: this.message, ...(fields && { fields }), ...(warnings && { warnings }) };
  }
}

export function notFound(what: string): ProblemError {
  return new ProblemError('not-found', `There is no such ${what}.`);
}

export function stale(what: string): ProblemError {
  return new ProblemError('stale', `The ${what} was changed meanwhile. Load it again, then change it.`);
}
