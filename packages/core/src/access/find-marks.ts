/**
 * Looks for the words of walls. All languages at once: what a page says of its own language is often wrong, and the
 * words of one language hardly ever mean a wall by chance in another.
 */
import type { KnownWall, ServiceCatalogue } from '../service/catalogue.js';
import type { WallDescription } from '../service/description.js';
import { hostMatches } from '../service/match.js';
import type { Evidence, PageFacts } from './evidence.js';
import { servicesOnTheWay } from './on-the-way.js';
import { english } from './marks/english.js';
import { french } from './marks/french.js';
import { german } from './marks/german.js';
import { japanese } from './marks/japanese.js';
import type { LanguageMarks } from './marks/language-marks.js';
import { spanish } from './marks/spanish.js';

const languages: readonly LanguageMarks[] = [english, german, french, spanish, japanese];
export type Mark = keyof LanguageMarks;

const wordsOf = Object.fromEntries(Object.keys(english).map((mark) => [mark, languages.flatMap((language) => language[mark as Mark])])) as Record<string, readonly string[]> as Readonly<Record<Mark, readonly string[]>>;

/** Characters up to which a page can be a notice; a longer one is an article that may talk about anything. */
const noticeLength = 900;
/** The same for writing that needs no letters: about as many words. */
const denseNoticeLength = 350;
/** A page of a sentence or two. */
const soleLength = 120;
const denseSoleLength = 50;
const denseScript = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u;

/** The first of the mark's words in the text; null when none is there. */
export function findIn(text: string, mark: Mark): string | null {
  return firstOf(wordsOf[mark], text);
}

/** The first of the mark's words in title, first lines and buttons. */
export function findMark(page: PageFacts, mark: Mark): string | null {
  return findIn(textOf(page), mark);
}

/** In title, heading or on a button, where a page says what it is for. */
export function findHeading(page: PageFacts, mark: Mark): string | null {
  return findIn([page.title, page.firstLines[0] ?? ''].join('\n'), mark);
}

/** Same as `findMark`, but only on a page short enough to be a notice rather than an article. */
export function findNotice({ final }: Evidence, mark: Mark): string | null {
  return final?.page && isShort(final.page) ? findMark(final.page, mark) : null;
}

export function isShort(page: PageFacts, length = noticeLength, denseLength = denseNoticeLength): boolean {
  return page.visibleCharacters <= (denseScript.test(page.firstLines.join('')) ? denseLength : length);
}

/** Same, on a page that says hardly anything else. */
export function findSoleWords({ final }: Evidence, mark: Mark): string | null {
  return final?.page && isShort(final.page, soleLength, denseSoleLength) ? findMark(final.page, mark) : null;
}

/** The wall which a service on the way is known for, when the final page is it and means that verdict. */
export function findWall(evidence: Evidence, catalogue: ServiceCatalogue, verdict: WallDescription['verdict']): WallDescription | null {
  const wall = findAnyWall(evidence, catalogue);
  return wall?.verdict === verdict ? wall : null;
}

/** The first wall that fits, of the services on the way in their order. */
export function findAnyWall(evidence: Evidence, catalogue: ServiceCatalogue): WallDescription | null {
  const { final } = evidence;
  if (!final) return null;
  const walls = servicesOnTheWay(evidence, catalogue).flatMap((service) => service.walls);
  return walls.find((known) => isWall(known, final.address, final.page))?.wall ?? null;
}

/** The words by which a wall was told: its service's own, or the general ones of a notice. Null for no wall. */
export function findWallWords(evidence: Evidence, catalogue: ServiceCatalogue, verdict: WallDescription['verdict'], mark: Mark): string | null {
  const known = findWall(evidence, catalogue, verdict);
  return known ? (known.words?.[0] ?? '') : findNotice(evidence, mark);
}

function isWall({ wall, matches }: KnownWall, address: string, page: PageFacts | null): boolean {
  if (wall.host !== undefined && !hostMatches(wall.host, new URL(address).hostname)) return false;
  if (wall.words !== undefined && (page === null || firstOf(wall.words, textOf(page)) === null)) return false;
  return wall.pattern === undefined || (page !== null && matches([page.title, ...page.firstLines].join('\n')));
}

/** All that a page says first, on a line each. */
export function textOf(page: PageFacts): string {
  return [page.title, ...page.firstLines, ...page.forms.flatMap((form) => form.buttons), ...(page.buttons ?? [])].join('\n');
}

function firstOf(words: readonly string[], text: string): string | null {
  const lower = text.normalize('NFKC').toLowerCase().replace(/[’‘ʼ]/g, "'").replace(/\s+/g, ' ');
  return words.find((word) => lower.includes(word.toLowerCase())) ?? null;
}
