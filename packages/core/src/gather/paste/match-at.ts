/** What a sticky expression (flag `y`) finds exactly at a place; null for nothing. */
export function matchAt(pattern: RegExp, text: string, start: number): RegExpExecArray | null {
  pattern.lastIndex = start;
  return pattern.exec(text);
}
