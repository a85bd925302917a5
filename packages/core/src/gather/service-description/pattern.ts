/**
 * Expressions that people write. They run in time that grows with the text alone, whatever was written; which engine
 * does that is the caller's choice (`@hapset/core/re2`), so that pages without expressions need not load one.
 */
export interface Pattern {
  /** Named groups of the first place where it is found; null where it is not found. */
  find(text: string): Readonly<Record<string, string>> | null;
  /** Names of its groups. */
  readonly names: readonly string[];
}

/** @throws Error when the expression can't be read; the message says where */
export type CompilePattern = (source: string) => Pattern;
