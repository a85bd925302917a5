/**
 * Expected failures are data. A function that can fail for a reason its caller should handle returns
 * a Result; exceptions are left for bugs. Words for a problem live in the web application.
 */
export type Result<Value, Problem> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problem: Problem };

/** What went well, with what came of it. */
export function succeed<Value>(value: Value): Result<Value, never> {
  return { ok: true, value };
}

/** What was expected to go wrong now and then, with why. */
export function fail<Problem>(problem: Problem): Result<never, Problem> {
  return { ok: false, problem };
}

/** Marks the place that a union's members can't reach; a new member stops the type check here. */
export function unreachable(value: never): never {
  throw new Error(`not expected here: ${String(value)}`);
}
