/** Compares what a reader returned with what was meant, code point by code point. */
export interface Difference {
  /** Index in code points at which the two part. */
  readonly at: number;
  readonly meant: string;
  readonly read: string;
}

/** Null when both are the same; otherwise the first place where they part, with six code points of context. */
export function firstDifference(meant: string, read: string): Difference | null {
  if (meant === read) return null;
  const wanted = [...meant];
  const given = [...read];
  let at = 0;
  while (at < wanted.length && wanted[at] === given[at]) at += 1;
  return { at, meant: wanted.slice(at, at + 6).join(''), read: given.slice(at, at + 6).join('') };
}
