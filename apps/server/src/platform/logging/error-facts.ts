/**
 * What a log may say of an error: its kind, its code and where it was thrown. Never its message: the database, the JSON
 * parser and the file system repeat in theirs what they were given, and that may be a student's name.
 */
import { isNativeError } from 'node:util/types';

export interface ErrorFacts {
  readonly type: string;
  /** The driver's or the system's: ER_DUP_ENTRY, ECONNREFUSED. */
  readonly code?: string;
  /** Functions with file and line, the innermost first. */
  readonly at: readonly string[];
}

const framesShown = 8;

/** @param error whatever was thrown */
export function errorFacts(error: unknown): ErrorFacts {
  if (!isNativeError(error)) return { type: typeof error, at: [] };
  const code = (error as { readonly code?: unknown }).code;
  // A message may have lines of its own; frames alone begin with "at" and end with a place in a file.
  const frames = (error.stack ?? '')
    .split('\n')
    .flatMap((line) => /^\s+at ((?:[\w.$<>[\] ]+ )?\(?(?:file:\/\/|node:|\/)[^\n]*:\d+:\d+\)?)$/.exec(line)?.[1] ?? []);
  return {
    type: error.constructor.name,
    ...(typeof code === 'string' && /^[\w-]{1,60}$/.test(code) && { code }),
    at: frames.slice(0, framesShown),
  };
}

/** The same in one line, for a column. */
export function errorLine(error: unknown): string {
  const { type, code, at } = errorFacts(error);
  return [type, code, at[0] && `at ${at[0].replace(/.*\/(?=[^/]+$)/, '').replace(/\)$/, '')}`]
    .filter(Boolean)
    .join(' ')
    .slice(0, 500);
}
