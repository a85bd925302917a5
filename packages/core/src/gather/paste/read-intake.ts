/**
 * Turns pasted text into a list of items to add: links, words, somebody to write to or to call, what can't be used,
 * and what has to be asked. Pure: the same text, the same list. The grammar is described in readings.ts.
 */
import { splitPieces } from './pieces.js';
import { readItem } from './readings.js';
import type { IntakeItem } from './intake-item.js';
import { scan } from './scan.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';

/** Reads pasted text. Empty lines count for nothing. @param isListed hosts that the school named */
export function readIntake(text: string, isListed: IsListedHost = () => false): readonly IntakeItem[] {
  if (typeof text !== 'string') throw new TypeError(`text must be a string, got ${typeof text}`);
  return splitPieces(text, isListed).flatMap((piece) => readItem(piece, isListed));
}

/** True where a web address is in the text, whatever is beside it. */
export function holdsAddress(text: string, isListed: IsListedHost = () => false): boolean {
  return scan(text, isListed).found.some((one) => one.kind === 'address' && one.evidence !== 'weak-host');
}
