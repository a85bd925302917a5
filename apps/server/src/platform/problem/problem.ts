/** A problem that the caller should hear of. Thrown by services, put into HTTP by the filter alone. */
import type { FieldProblem, Problem, ProblemReason, UsedBy } from '@hapset/contract';

export class ProblemError extends Error {
  constructor(
    readonly reason: ProblemReason,
    message: string,
    readonly more: {
      readonly fields?: readonly FieldProblem[];
      readonly warnings?: readonly string[];
      readonly usedBy?: UsedBy;
      readonly retryAfterS?: number;
    } = {},
  ) {
    super(message);
  }

  toProblem(): Problem {
    const { fields, warnings, usedBy } = this.more;
    return {
      reason: this.reason,
      message: this.message,
      ...(fields && { fields }),
      ...(warnings && { warnings }),
      ...(usedBy && { usedBy }),
    };
  }
}

const namesGiven = 3;

/** @param names of all that use it, as far as the one who asks may see them */
export function inUse(
  kind: UsedBy['kind'],
  { names = [], count = names.length }: { readonly names?: readonly string[]; readonly count?: number },
): ProblemError {
  return new ProblemError('in-use', `It is used by ${count} (${kind}).`, {
    usedBy: { kind, names: names.slice(0, namesGiven), count },
  });
}

export function notFound(what: string): ProblemError {
  return new ProblemError('not-found', `There is no such ${what}.`);
}

export function stale(what: string): ProblemError {
  return new ProblemError('stale', `The ${what} was changed meanwhile. Load it again, then change it.`);
}
