/**
 * Mends a pasted web address: what people copy out of mails, documents and chats carries quotes,
 * brackets, invisible characters, a second scheme, stray blanks. Each repair says what it took away
 * or put in, and can be taken back. A repaired link is a fixed point: repairing it again does nothing.
 *
 * Left out on purpose: guessing at misspelt host names, and shortening (the carry ladder's work).
 */

/** What may be repaired in a pasted link. */
export const repairKinds = [
  'invisible-removed',
  'line-break-joined',
  'trailing-punctuation',
  'quote-removed',
  'bracket-removed',
  'scheme-doubled',
  'scheme-mended',
  'blank-removed',
  'scheme-missing',
] as const;
/** One of them. */
export type RepairKind = (typeof repairKinds)[number];

/** What was repaired, and what was taken away or added. */
export interface Repair {
  readonly kind: RepairKind;
  /** What stood there, '' when something was only put in. */
  readonly removed: string;
  /** What stands there now, '' when something was only taken away. */
  readonly added: string;
}

/** A link with what was repaired. */
export interface RepairedLink {
  readonly link: string;
  readonly repairs: readonly Repair[];
}

interface Step {
  readonly kind: RepairKind;
  readonly mend: (text: string) => { text: string; removed: string; added: string } | null;
}

// Zero-width characters, byte order mark, soft hyphen, bidi controls, variation selectors, C0/C1 controls but line ends.
const invisible =
  /[\u200b-\u200f\u202a-\u202e\u2060-\u2064\u2066-\u2069\ufeff\u00ad]|[\ufe00-\ufe0f]|(?![\t\n\r])\p{Cc}/gu;
const quotePairs = ['""', "''", '“”', '„“', '„”', '‘’', '‚‘', '«»', '»«', '‹›', '``', '「」'];
const bracketPairs = ['<>', '()', '[]', '{}'];

function takeAway(text: string, pattern: RegExp): ReturnType<Step['mend']> {
  const removed = text.match(pattern)?.join('') ?? '';
  return removed === '' ? null : { text: text.replace(pattern, ''), removed, added: '' };
}

/** Strips what stands around the whole: pairs first, then a lone opener or closer that has no partner inside. */
function unwrap(text: string, pairs: readonly string[]): ReturnType<Step['mend']> {
  let rest = text.trim();
  let removed = '';
  while (rest !== '') {
    const found = outermost(rest, pairs);
    if (!found) break;
    removed += found.removed;
    rest = found.inner;
  }
  return removed === '' ? null : { text: rest, removed, added: '' };
}

/** The first of the pairs that stands around it, whole or by half; null where none does. */
function outermost(
  text: string,
  pairs: readonly string[],
): { readonly inner: string; readonly removed: string } | null {
  for (const [open = '', close = ''] of pairs) {
    const starts = text.startsWith(open);
    const ends = text.length > 1 && text.endsWith(close);
    const inner = text.slice(starts ? 1 : 0, ends ? -1 : undefined);
    if (starts || (ends && !isClosedInside(inner, open, close)))
      return { inner: inner.trim(), removed: (starts ? open : '') + (ends ? close : '') };
  }
  return null;
}

/** True where `inner` holds an opener still waiting for the closer that stands behind it: "/a_(b" before ")". */
function isClosedInside(inner: string, open: string, close: string): boolean {
  if (open === close) return false;
  let waiting = 0;
  for (const character of inner) {
    if (character === open) waiting += 1;
    else if (character === close && waiting > 0) waiting -= 1;
  }
  return waiting > 0;
}

const doubledScheme = /^(?:https?(?::\/{0,2}|\/\/)\s*)+(?=https?:\/\/)/i;
const brokenScheme = /^(https?)(?::\/?(?!\/)|\/\/|:\/{3,}|;\/\/)(?=[^\s/])/i;
const scheme = /^[a-z][a-z0-9+.-]*:/i;

/** In the order in which they must happen: what hides the start of the address goes first. */
const steps: readonly Step[] = [
  { kind: 'invisible-removed', mend: (text) => takeAway(text, invisible) },
  {
    kind: 'line-break-joined',
    mend: (text) => {
      const joined = text.replace(/\s*[\r\n]+\s*/gu, '');
      return joined === text ? null : { text: joined, removed: '\n', added: '' };
    },
  },
  { kind: 'trailing-punctuation', mend: (text) => takeAway(text, /(?<=.)[.,;:!…]+$/u) },
  { kind: 'quote-removed', mend: (text) => unwrap(text, quotePairs) },
  { kind: 'bracket-removed', mend: (text) => unwrap(text, bracketPairs) },
  { kind: 'scheme-doubled', mend: (text) => takeAway(text, doubledScheme) },
  {
    kind: 'scheme-mended',
    mend: (text) => {
      const found = brokenScheme.exec(text);
      if (!found) return null;
      const added = `${(found[1] ?? '').toLowerCase()}://`;
      return { text: added + text.slice(found[0].length), removed: found[0], added };
    },
  },
  { kind: 'blank-removed', mend: (text) => takeAway(text, /\s+/gu) },
  {
    kind: 'scheme-missing',
    mend: (text) => {
      if (scheme.test(text) && !looksLikeHostWithPort(text)) return null;
      const bare = text.replace(/^\/\//, '');
      const added = /^(?:[^/:]+\.)?localhost(?:[:/]|$)/i.test(bare) ? 'http://' : 'https://';
      return { text: added + bare, removed: bare === text ? '' : '//', added };
    },
  },
];

function looksLikeHostWithPort(text: string): boolean {
  return /^[a-z0-9-]+(?:\.[a-z0-9-]+)+:\d{1,5}(?:[/?#]|$)/i.test(text);
}

/**
 * Repairs one pasted address.
 * @param pasted what was pasted, line breaks and all
 * @param takenBack repairs not to make, because the teacher took them back
 */
export function repairLink(pasted: string, takenBack: ReadonlySet<RepairKind> = new Set()): RepairedLink {
  if (typeof pasted !== 'string') throw new TypeError(`pasted must be a string, got ${typeof pasted}`);
  const repairs: Repair[] = [];
  let text = pasted.trim();
  // A repair can lay open another (a quote inside brackets), so after each one the steps start again.
  for (let next = nextRepair(text, takenBack); next !== null; next = nextRepair(text, takenBack)) {
    const { kind, removed, added } = next;
    text = next.text;
    const before = repairs.findIndex((repair) => repair.kind === kind);
    const earlier = repairs[before];
    if (earlier) repairs[before] = { kind, removed: earlier.removed + removed, added: earlier.added + added };
    else repairs.push({ kind, removed, added });
  }
  return { link: text, repairs };
}

/** The first repair that the text needs; null when it needs none. */
function nextRepair(text: string, takenBack: ReadonlySet<RepairKind>): (Repair & { readonly text: string }) | null {
  for (const { kind, mend } of steps) {
    const mended = takenBack.has(kind) ? null : mend(text);
    if (mended && mended.text !== '' && mended.text !== text) return { kind, ...mended };
  }
  return null;
}
