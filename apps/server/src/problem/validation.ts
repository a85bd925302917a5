/** Bodies are checked against their DTO; what the DTO does not know is refused. */
import { ValidationPipe, type ValidationError } from '@nestjs/common';
import type { FieldProblem } from '@hapset/contract';
import { ProblemError } from './problem.js';

export function bodyValidation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) => new ProblemError('invalid', 'Some fields need another value.', { fields: flatten(errors, '') }),
  });
}

function flatten(errors: readonly ValidationError[], path: string): FieldProblem[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.values(error.constraints ?? {}).map((message) => ({ field, message }));
    return [...own, ...flatten(error.children ?? [], field)];
  });
}
