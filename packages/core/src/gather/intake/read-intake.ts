/**
 * Turns pasted text into a list of things to add: links, words, and what can't be used. One line is one
 * thing, but for an address that a mail program broke over two lines. Pure: the same text, the same list.
 */
import { repairLink, type Repair, type RepairKind } from './repair.js';
import { isWebAddress } from '../../platform/web-address.js';

/** What one of the pasted things was understood as. */
export type IntakeItem = IntakeLink | IntakeWords | IntakeUnusable;

interface IntakeBase {
  /** What was pasted for this thing, exactly. */
  readonly pasted: string;
  /** Words that stood beside it as a title; null when there were none. */
  readonly title: string | null;
  /** What students should do, where a list said so. */
  readonly instruction: string | null;
  readonly tags: readonly string[];
}
/** A link, repaired. */
export interface IntakeLink extends IntakeBase {
  readonly kind: 'link';
  readonly link: string;
  readonly repairs: readonly Repair[];
}
/** Words for the code itself. */
export interface IntakeWords extends IntakeBase {
  readonly kind: 'words';
  readonly words: string;
}
/** What is neither. */
export interface IntakeUnusable extends IntakeBase {
  readonly kind: 'unusable';
  readonly problem: 'scheme-not-web' | 'not-an-address';
}

/** What the teacher decided against the reading: per pasted text, the repairs taken back. */
export type TakenBack = ReadonlyMap<string, ReadonlySet<RepairKind>>;

const webScheme = /^[^\p{L}\p{N}]*https?(?::|\/\/)/iu;
// Schemes that name something to open, but that no phone opens from a code as a web page.
const otherScheme = /^\W*(?:ftps?|file|javascript|data|blob|about|chrome|view-source|vbscript):/i;
const bareHost =
  /^\W{0,2}(?:\/\/)?(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+(?:localhost|[\p{L}]{2,24})(?::\d{1,5})?(?:[/?#]\S*)?\W{0,2}$/iu;
const fileEnding =
  /\.(?:txt|docx?|xlsx?|pptx?|odt|ods|odp|pdf|jpe?g|png|gif|svg|webp|mp3|mp4|m4a|wav|ogg|mov|zip|csv)\W?$/i;
const linkCharacter = /[/?&=#%_.:-]/;

/** Reads pasted text. Empty lines count for nothing. */
export function readIntake(text: string, takenBack: TakenBack = new Map()): readonly IntakeItem[] {
  if (typeof text !== 'string') throw new TypeError(`text must be a string, got ${typeof text}`);
  return splitPieces(text).map((piece) => readPiece(piece, takenBack.get(piece) ?? new Set()));
}

/** True where the text holds an address and nothing was meant as words. */
export function looksLikeLink(line: string): boolean {
  const trimmed = line.trim();
  if (webScheme.test(trimmed)) return true;
  if (/\s/.test(trimmed) || trimmed.includes('@')) return false;
  return bareHost.test(trimmed) && (!fileEnding.test(trimmed) || trimmed.includes('/'));
}

/** One piece a thing: a line, or the lines over which an address was broken. Long lists are read piece by piece. */
export function splitPieces(text: string): readonly string[] {
  const pieces: string[] = [];
  for (const line of text.split(/\r\n|\r|\n/)) {
    if (line.trim() === '') continue;
    const before = pieces.at(-1);
    if (before !== undefined && continues(before, line)) pieces[pieces.length - 1] = `${before}\n${line}`;
    else pieces.push(line);
  }
  return pieces;
}

const endsUnfinished = /[/\-_=&?%#.+]$/;
const beginsAsRest = /^[/?&=#%_-]/;

/** A line goes on from the one before when that one is an unfinished address and this one is no thing of its own. */
function continues(before: string, line: string): boolean {
  const start = before.trim();
  const next = line.trim();
  // Cheap signs first: most lines of a long list show none of them.
  if (!start.startsWith('<') && !endsUnfinished.test(start) && !beginsAsRest.test(next)) return false;
  if (!looksLikeLink(start.split('\n')[0] ?? '') || /\s/.test(start.split('\n').at(-1) ?? '') || looksLikeLink(next))
    return false;
  // "<https://..." goes on up to its ">", even where words follow on the same line.
  if (start.startsWith('<') && !start.includes('>')) return !/\s/.test(next.split('>')[0] ?? '');
  return !/\s/.test(next);
}

/** Reads one thing: an address with an optional title behind it, or words. */
export function readPiece(pasted: string, takenBack: ReadonlySet<RepairKind>): IntakeItem {
  const trimmed = pasted.trim();
  const plain = { pasted, title: null, instruction: null, tags: [] } as const;
  if (otherScheme.test(trimmed)) return { ...plain, kind: 'unusable', problem: 'scheme-not-web' };
  if (!looksLikeLink(trimmed.split('\n')[0] ?? '')) return { ...plain, kind: 'words', words: trimmed.normalize('NFC') };
  const { address, title } = splitTitle(trimmed);
  const { link, repairs } = repairLink(address, takenBack);
  if (takenBack.size === 0 && !isWebAddress(link)) return { ...plain, kind: 'unusable', problem: 'not-an-address' };
  return { ...plain, kind: 'link', link, title, repairs };
}

/**
 * Parts "https://... Field guide" into address and title. Blanks beside a character that only addresses
 * have ("example / leaf") are strays inside the address; the first run of plain words after it is the title.
 */
function splitTitle(text: string): { address: string; title: string | null } {
  const parts = text.split(/[ \t\u00a0]+/u);
  let end = parts.length;
  for (let index = 1; index < parts.length; index += 1) {
    const before = parts[index - 1] ?? '';
    const next = parts[index] ?? '';
    // A full stop parts a host's names; behind a path it ends a sentence.
    const last = before.at(-1) ?? '';
    const stray =
      (/[.:]/.test(last) ? !/:\/\/[^/]+\//.test(before) : linkCharacter.test(last)) ||
      (linkCharacter.test(next.charAt(0)) && !/^[-–—:|]$/.test(next));
    if (stray || !isWebAddress(repairLink(parts.slice(0, index).join('')).link)) continue;
    end = index;
    break;
  }
  const title = parts
    .slice(end)
    .join(' ')
    .replace(/^[-–—:|\s]+/, '')
    .trim();
  return { address: parts.slice(0, end).join(' '), title: title === '' ? null : title.normalize('NFC') };
}
