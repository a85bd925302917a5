/**
 * What a pasted item may mean, as readings with a cost each. The cheapest is taken where it is clearly cheaper than
 * every other; otherwise the teacher is asked with the two best.
 *
 *   item      = gap (thing gap)*
 *   thing     = address | contact | refused           what was found (see scan)
 *   gap       = mark* label? separator?  |  sentence  what is beside it (see label)
 *
 * Readings of an item: its words as they are; each thing for itself with the label beside it; two addresses that ran
 * together as one; an address that goes on behind a blank. Costs are in points: half a point for what is usual (a
 * scheme put in front, a label without a colon), 3 for what is doubtful (an unknown ending, an address that was cut
 * off), 4 for leaving out a sentence. Words cost what the signs of an address are worth: 5 with a scheme.
 */
import { isInOrder } from './address.js';
import type { FoundAddress } from './address-body.js';
import type { IntakeAnswer, IntakeBase, IntakeContact, IntakeItem, IntakeLink } from './intake-item.js';
import { announcesNumber, besideAfter, besideBefore, withoutListMarks, type Beside } from './label.js';
import { withoutTags } from './markup.js';
import { gatherRepairs, repair, type Repair } from './repairs.js';
import { scan, withGaps, type Found, type Scanned } from './scan.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';

interface Reading {
  readonly answers: readonly IntakeAnswer[];
  readonly cost: number;
}

/** So much cheaper than the next a reading must be, to be taken without a question. */
const clearly = 2.5;
// Zero-width characters, byte order mark, soft hyphen, bidi controls, variation selectors, C0/C1 controls but line ends.
const invisible =
  /[\u200b-\u200f\u202a-\u202e\u2060-\u2064\u2066-\u2069\ufeff\u00ad]|[\ufe00-\ufe0f]|(?![\t\n\r])\p{Cc}/gu;

/** Reads one item. @param isListed hosts that the school named */
export function readItem(pasted: string, isListed: IsListedHost): readonly IntakeItem[] {
  const [best, next] = readingsOf(pasted, isListed);
  if (!next) return best.answers;
  const doubts = scan(visible(pasted), isListed).found.flatMap((one) => (one.kind === 'address' ? one.doubts : []));
  // Which of two it is can't be told by how little one costs: both are in order.
  if (next.cost - best.cost >= clearly && !doubts.includes('run-together')) return best.answers;
  const doubt = doubts[0] ?? null;
  return [{ ...base(pasted), kind: 'question', readings: [best.answers, next.answers], doubt }];
}

/** The one link that was meant, where only a link can be: in a field for an address. Null where there is none. */
export function readLink(pasted: string, isListed: IsListedHost = () => false): Omit<IntakeLink, 'pasted'> | null {
  for (const { answers } of readingsOf(pasted, isListed))
    for (const answer of answers) if (answer.kind === 'link') return answer;
  return null;
}

/** At least one, the cheapest first. */
function readingsOf(pasted: string, isListed: IsListedHost): readonly [Reading, ...Reading[]] {
  const text = visible(pasted);
  const scanned = withAnnounced(scan(text, isListed));
  const things = readThings(pasted, scanned);
  const [words, ...others] = [
    readWords(pasted, scanned, things?.beside ?? 0),
    ...(things
      ? [
          {
            ...things.reading,
            cost: things.reading.cost + (goesOnSurely(text, scanned) || fileName(scanned) !== null ? clearly : 0),
          },
        ]
      : []),
    ...readJoined(pasted, text, scanned, isListed),
    ...readFileName(pasted, text, scanned),
    ...readAsOne(pasted, text, scanned, isListed),
  ].filter(({ answers }) => answers.length > 0);
  const all = [words ?? { answers: [], cost: 0 }, ...others].sort((one, other) => one.cost - other.cost);
  return all as unknown as readonly [Reading, ...Reading[]];
}

/** A number that is announced as one is sure to be one. */
function withAnnounced({ found, gaps }: Scanned): Scanned {
  return {
    gaps,
    found: found.map((one, index) =>
      one.kind === 'contact' && announcesNumber(gaps[index] ?? '') ? { ...one, evidence: 'sure' } : one,
    ),
  };
}

function visible(pasted: string): string {
  return withoutTags(pasted.replace(invisible, ''));
}

function base(pasted: string): IntakeBase {
  return { pasted, title: null, instruction: null, tags: [] };
}

function readWords(pasted: string, { found }: Scanned, beside: number): Reading {
  const words = pasted
    .trim()
    .replace(/^[\u2022\u2023\u25cf\u25aa\u25e6]\s*/u, '')
    .normalize('NFC');
  const cost = Math.max(0, ...found.map((one) => worth(one, beside)));
  return { answers: [{ ...base(pasted), kind: 'words', words }], cost };
}

/** What the signs of a thing are worth. @param beside cost of what is beside it */
function worth(thing: Found, beside: number): number {
  if (thing.kind === 'refused') return 5;
  if (thing.kind === 'contact') return thing.evidence === 'sure' ? 5 : 3;
  const alone = beside === 0;
  return { scheme: 5, guess: 5, path: 4.5, host: alone ? 3.5 : 2, 'weak-host': alone ? 0.5 : 0 }[thing.evidence];
}

/** Each thing for itself, with the label beside it. Null where there is none, or only what can't be used in a sentence. */
function readThings(pasted: string, scanned: Scanned): { readonly reading: Reading; readonly beside: number } | null {
  const { found, gaps } = scanned;
  if (found.length === 0) return null;
  const labelled = labelsOf(gaps, found);
  const beside = labelled.reduce((sum, { cost }) => sum + cost, 0);
  const isUnusable = found.every(
    (one) => one.kind === 'refused' || (one.kind === 'address' && one.standing === 'impossible'),
  );
  // In a sentence it is talked about; at the start it was meant.
  if (isUnusable && beside > 0 && /[\p{L}\p{N}]/u.test(gaps[0] ?? '')) return null;
  const cost = found.reduce((sum, one) => sum + costOf(one), beside);
  const pieces = piecesOf(pasted, scanned);
  const answers = found.map((one, index) =>
    answerOf(one, pieces[index] ?? pasted, labelled[index]?.label ?? null, repairsBeside(pasted, scanned)),
  );
  return { reading: { answers, cost }, beside };
}

/** A label for each thing, before or behind all of them, and what it costs to leave out the rest. */
function labelsOf(gaps: readonly string[], found: readonly Found[]): readonly Beside[] {
  const before = gaps
    .slice(0, -1)
    .map((gap, index) =>
      besideBefore(
        index === 0
          ? gap
          : gap.replace(/^[.,;:!?…)\]]+(?:\s*(?:and|und|et|y|&)\s)?|^\s*(?:and|und|et|y|&)\s(?=\s*\S)/iu, ''),
      ),
    );
  const after = gaps.slice(1).map(besideAfter);
  const hasWords = ({ label, cost }: Beside): boolean => label !== null || cost > 0;
  const own = found.map(({ label }) => label);
  const beforeAll = before.every((one, index) => hasWords(one) || own[index] !== null);
  if (found.length === 1) return [oneLabel(own[0] ?? null, before[0], after[0], hasWords)];
  const last = after.at(-1);
  const first = before[0];
  if (!gaps.slice(1, -1).some((gap) => /[\p{L}\p{N}]/u.test(withoutListMarks(gap).rest)) && !(last && hasWords(last)))
    return before.map(({ label, cost }, index) => ({ label: own[index] ?? label, cost }));
  if (beforeAll && !(last && hasWords(last))) return before;
  if (after.every(hasWords) && !(first && hasWords(first))) return after;
  return found.map((_, index) => ({ label: own[index] ?? null, cost: index === 0 ? 4 : 0 }));
}

function oneLabel(
  own: string | null,
  before: Beside = { label: null, cost: 0 },
  after: Beside = { label: null, cost: 0 },
  hasWords: (beside: Beside) => boolean,
): Beside {
  const both = hasWords(before) && hasWords(after);
  const sum = before.cost + after.cost + (own !== null && before.cost + after.cost > 0 ? 1.5 : 0);
  const cost = both ? (after.isAside && sum <= 0.5 ? 1 : 4) : sum;
  // Part of a sentence names nothing.
  return { label: own ?? (cost < 3 ? (before.label ?? after.label) : null), cost };
}

function costOf(thing: Found): number {
  if (thing.kind === 'refused') return 0;
  if (thing.kind === 'contact') return thing.evidence === 'sure' ? 0 : 1.5;
  const { evidence, doubts, repairs, standing } = thing;
  if (standing === 'impossible') return 0.5;
  const repaired = repairs.some(({ kind }) => kind === 'scheme-repaired') ? 0.5 : 0;
  const isNumber = /^https?:\/\/\d+\.\d+\.\d+\.\d+/.test(thing.link) && evidence !== 'scheme' ? 2 : 0;
  const doubtful = doubts.reduce((sum, doubt) => sum + (doubt === 'run-together' ? 1.5 : 3), 0);
  return { scheme: 0, guess: 3, path: 0.5, host: 1, 'weak-host': 1 }[evidence] + repaired + isNumber + doubtful;
}

function answerOf(thing: Found, pasted: string, label: string | null, beside: readonly Repair[]): IntakeAnswer {
  const about = { ...base(pasted), title: label };
  if (thing.kind === 'contact') return { ...about, kind: 'contact', content: named(thing.content, label) };
  if (thing.kind === 'refused') return { ...about, kind: 'unusable', problem: thing.problem };
  if (thing.standing === 'impossible') return { ...about, kind: 'unusable', problem: 'not-an-address' };
  return { ...about, kind: 'link', link: thing.link, repairs: gatherRepairs([...beside, ...thing.repairs]) };
}

function named(content: IntakeContact['content'], label: string | null): IntakeContact['content'] {
  return content.kind === 'phone' && label !== null ? { ...content, name: label } : content;
}

/** What was taken away around the whole item. */
function repairsBeside(pasted: string, { found, gaps }: Scanned): readonly Repair[] {
  const hidden = pasted.match(invisible)?.join('') ?? '';
  const [before = '', after = ''] = found.length === 1 ? gaps : [];
  const marks = [before.match(/[\s"“„«‘'`‹「([{<（]*$/u)?.[0], after.match(/^[\s"”“»’'`›」)\]}>）.,;:!]*/u)?.[0]].join(
    '',
  );
  const quotes = marks.replace(/[^"“”„«»‘’'`‹›「」]/gu, '');
  const brackets = marks.replace(/[^()[\]{}<>（）]/gu, '');
  return [
    ...(hidden === '' ? [] : [repair('invisible-removed', hidden)]),
    ...(quotes === '' ? [] : [repair('quote-removed', quotes)]),
    ...(brackets === '' || /[\p{L}\p{N}]/u.test(before) ? [] : [repair('bracket-removed', brackets)]),
  ];
}

/** The pasted text in as many parts as there are things: each with what is in front of it, the last with the rest. */
function piecesOf(pasted: string, { found, gaps }: Scanned): readonly string[] {
  if (found.length < 2) return [pasted];
  const text = gaps.map((gap, index) => ({ gap, thing: found[index] }));
  const whole = visible(pasted);
  return text.slice(0, -1).map(({ gap, thing }, index) => {
    const own = gap + whole.slice(thing?.start, thing?.end);
    return index === found.length - 1 ? own + (gaps.at(-1) ?? '') : own;
  });
}

/** The address going on behind a blank or a line break. */
function readJoined(pasted: string, text: string, scanned: Scanned, isListed: IsListedHost): readonly Reading[] {
  const { found } = scanned;
  const [only] = found;
  if (found.length !== 1 || only?.kind !== 'address' || !only.joined) return [];
  const { joined } = only;
  const longer: FoundAddress = { ...only, ...joined, joined: null };
  const things = readThings(pasted, withGaps(text, [longer]));
  if (!things || scan(joined.link, isListed).found.length !== 1) return [];
  return [{ ...things.reading, cost: things.reading.cost + (goesOnSurely(text, scanned) ? 0 : 1) }];
}

/** A blank in front of "?x=1", or a line break in front of lower case and figures, is none that anybody typed. */
function goesOnSurely(text: string, { found }: Scanned): boolean {
  const [only] = found;
  if (found.length !== 1 || only?.kind !== 'address' || !only.joined) return false;
  const [, gap = '', next = ''] = /^(\s+)(\S*)/.exec(text.slice(only.end)) ?? [];
  if (/^[?&=]./.test(next) || (/^\/./.test(next) && text[only.end - 1] !== '/')) return true;
  return gap.includes('\n') && /^[\p{Ll}\p{N}/?&=#%_-]+/u.test(next);
}

const endsAsFile =
  /^( [\p{L}\p{N}][\p{L}\p{N} ._-]{0,80}\.(?:pdf|docx?|odt|pptx?|odp|xlsx?|ods|jpe?g|png|gif|svg|webp|mp3|mp4|m4a|wav|ogg|mov|html?))[.,;:!]?\s*$/iu;

/** The rest of a file name with blanks in it: "…/Tide tables.pdf"; null for none. */
function fileName({ found, gaps }: Scanned): string | null {
  const [only] = found;
  if (found.length !== 1 || only?.kind !== 'address' || only.evidence === 'host') return null;
  const isOpen =
    /\/[^/?#]*[^/?#.]$/.test(only.link) &&
    !/\.[a-z0-9]{2,4}$/i.test(only.link) &&
    only.repairs.every(({ kind }) => kind !== 'trailing-punctuation');
  return isOpen ? (endsAsFile.exec(gaps[1] ?? '')?.[1] ?? null) : null;
}

function readFileName(pasted: string, text: string, scanned: Scanned): readonly Reading[] {
  const [only] = scanned.found;
  const rest = fileName(scanned);
  if (rest === null || only?.kind !== 'address') return [];
  const link = only.link + rest.replaceAll(' ', '%20');
  const repairs = [...only.repairs, repair('blank-encoded', ' ', '%20')];
  const whole: FoundAddress = { ...only, link, repairs, end: only.end + rest.length, joined: null };
  const things = readThings(pasted, withGaps(text, [whole]));
  return things ? [things.reading] : [];
}

/** Two that ran together may be one: a valid address is one as it stands. */
function readAsOne(pasted: string, text: string, { found }: Scanned, isListed: IsListedHost): readonly Reading[] {
  const [first] = found;
  const last = found.at(-1);
  const runTogether = found.some((one) => one.kind === 'address' && one.doubts.includes('run-together'));
  if (!runTogether || first?.kind !== 'address' || !last || /\s/.test(text.slice(first.start, last.end))) return [];
  const link = text.slice(first.start, last.end);
  if (!isInOrder(link, isListed)) return [];
  const answer: IntakeLink = { ...base(pasted), kind: 'link', link, repairs: [] };
  return [{ answers: [answer], cost: 2.5 + costOf({ ...first, doubts: [] }) }];
}
