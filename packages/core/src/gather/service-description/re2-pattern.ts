/** The engine for expressions that people write: RE2, linear in the text. Without look-around and back references. */
import { RE2JS } from 're2js';
import type { Pattern } from './pattern.js';

/** Longer expressions are refused; real ones have fewer than a hundred characters. */
export const longestPattern = 500;

/**
 * Compared without case; `^` and `$` stand for the ends of each line.
 * @throws Error when RE2 can't read it or it is too long
 */
export function compileRe2(source: string): Pattern {
  if (source.length > longestPattern) throw new Error(`longer than ${longestPattern} characters`);
  const compiled = RE2JS.compile(source, RE2JS.CASE_INSENSITIVE | RE2JS.MULTILINE);
  const names = Object.keys(compiled.namedGroups());
  return {
    names,
    find: (text) => {
      const matcher = compiled.matcher(text);
      if (!matcher.find()) return null;
      return Object.fromEntries(names.map((name) => [name, matcher.group(name) ?? '']));
    },
  };
}
