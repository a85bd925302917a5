/** What no phone opens from a code: files of one's own computer, pages of the browser itself, scripts. */
import { matchAt } from './match-at.js';

/** Why it can't be used. */
export type RefusedReason = 'file-path' | 'scheme-not-web' | 'not-an-address';

/** Something that can't be used, as it was found. */
export interface FoundRefused {
  readonly kind: 'refused';
  readonly start: number;
  readonly end: number;
  readonly problem: RefusedReason;
  readonly label: string | null;
}

const paths = [
  /[a-z]:[\\/](?![\\/])[^\n"]*/iy,
  /[a-z]:\\\\[^\n"]*/iy,
  /\\\\[\p{L}\p{N}][^\n"]*/uy,
  /file:[/\\][^\n"]*/iy,
  /(?:~|\/(?:users|home|volumes|mnt|private|storage))\/[^\n"]*/iy,
];
const schemes =
  /(?:javascript|vbscript|view-source|blob|s?ftps?|ssh|wss?|git|smb|afp|nfs|magnet|about|chrome|edge|content|intent|ms-[a-z]+|data(?=:[a-z]+\/|:[,;])):(?=[^\s])[^\n]*/iy;

/** A path or an address that no phone opens, at this place; null for none. */
export function refusedAt(text: string, start: number): FoundRefused | null {
  for (const pattern of paths) {
    const path = matchAt(pattern, text, start)?.[0];
    if (path !== undefined)
      return { kind: 'refused', start, end: start + path.length, problem: 'file-path', label: null };
  }
  const other = matchAt(schemes, text, start)?.[0];
  if (other === undefined) return null;
  return { kind: 'refused', start, end: start + other.length, problem: 'scheme-not-web', label: null };
}
