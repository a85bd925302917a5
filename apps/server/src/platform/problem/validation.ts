/** Bodies are checked against their DTO; what the DTO does not know is refused. */
import { ValidationPipe, type ValidationError } from '@nestjs/common';
import type { FieldProblem } from '@hapset/contract';
import { ProblemError } from './problem.js';

/** As many as a person could look at. */
const problemsNamed = 20;

export function bodyValidation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) =>
      new ProblemError('invalid', 'Some fields need another value.', {
        fields: firstProblems(errors, '', problemsNamed),
      }),
  });
}

/** Depth first, and no more than are wanted: naming a hundred thousand would take longer than finding them. */
function firstProblems(errors: readonly ValidationError[], path: string, wanted: number): FieldProblem[] {
  const found: FieldProblem[] = [];
  for (const error of errors) {
    if (found.length >= wanted) break;
    const field = (path === '' ? error.property : `${path}.${error.property}`).slice(0, 200);
    for (const message of Object.values(error.constraints ?? {})) found.push({ field, message: message.slice(0, 300) });
    found.push(...firstProblems(error.children ?? [], field, wanted - found.length));
  }
  return found.slice(0, wanted);
}
