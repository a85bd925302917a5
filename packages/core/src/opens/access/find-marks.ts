/**
 * Looks for the words of walls. All languages at once: what a page says of its own language is often wrong, and the
 * words of one language hardly ever mean a wall by chance in another.
 */
import type { KnownWall, ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import type { WallDescription } from '../../gather/service-description/description.js';
import { hostMatches } from '../../gather/service-description/match.js';
import type { Evidence, PageFacts } from './evidence.js';
import { servicesOnTheWay } from './on-the-way.js';
import { english } from './marks/english.js';
import { french } from './marks/french.js';
import { german } from './marks/german.js';
import { japanese } from './marks/japanese.js';
import type { LanguageMarks } from './marks/language-marks.js';
import { spanish } from './marks/spanish.js';

const languages: readonly LanguageMarks[] = [english, german, french, spanish, japanese];
/** A kind of words that tell what a page is. */
export type Mark = keyof LanguageMarks;

const wordsOf = Object.fromEntries(
  Object.keys(english).map((mark) => [mark, languages.flatMap((language) => language[mark as Mark])]),
) as Record<string, readonly string[]> as Readonly<Record<Mark, readonly string[]>>;

/** Characters up to which a page can be a notice; a longer one is an article that may talk about anything. */
const noticeLength = 900;
/** The same for writing that needs no letters: about as many words. */
const denseNoticeLength = 350;
/** A page of a sentence or two. */
const soleLength = 120;
const denseSoleLength = 50;
/** Characters of a line that are shown as what a page says. */
const lineShown = 120;
const denseScript = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u;

/** The line of the text in which one of the mark's words stands; null when none is there. */
export function findIn(text: string, mark: Mark): string | null {
  return lineWith(wordsOf[mark], text);
}

/** The same in title, first lines and buttons. */
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

/**
 * Whether a page says so little that a mark on it is what it is about. Lengths are characters; the second is for
 * scripts that need fewer.
 */
export function isShort(page: PageFacts, length = noticeLength, denseLength = denseNoticeLength): boolean {
  return page.visibleCharacters <= (denseScript.test(page.firstLines.join('')) ? denseLength : length);
}

/** Same, on a page that says hardly anything else. */
export function findSoleWords({ final }: Evidence, mark: Mark): string | null {
  return final?.page && isShort(final.page, soleLength, denseSoleLength) ? findMark(final.page, mark) : null;
}

/** The wall which a service on the way is known for, when the final page is it and means that verdict. */
export function findWall(
  evidence: Evidence,
  catalogue: ServiceCatalogue,
  verdict: WallDescription['verdict'],
): WallDescription | null {
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

/** The page's own line by which a wall was told: by its service's words, or by the general ones of a notice. Null for no wall. */
export function findWallWords(
  evidence: Evidence,
  catalogue: ServiceCatalogue,
  verdict: WallDescription['verdict'],
  mark: Mark,
): string | null {
  const known = findWall(evidence, catalogue, verdict);
  return known ? (findWords(evidence, known.words ?? []) ?? '') : findNotice(evidence, mark);
}

/** The line of the final page in which one of the words stands. */
export function findWords({ final }: Evidence, words: readonly string[]): string | null {
  return final?.page ? lineWith(words, textOf(final.page)) : null;
}

function isWall({ wall, matches }: KnownWall, address: string, page: PageFacts | null): boolean {
  if (wall.host !== undefined && !hostMatches(wall.host, new URL(address).hostname)) return false;
  if (wall.words !== undefined && (page === null || lineWith(wall.words, textOf(page)) === null)) return false;
  return wall.pattern === undefined || (page !== null && matches([page.title, ...page.firstLines].join('\n')));
}

/** All that a page says first, on a line each. */
export function textOf(page: PageFacts): string {
  return [page.title, ...page.firstLines, ...page.forms.flatMap((form) => form.buttons), ...(page.buttons ?? [])].join(
    '\n',
  );
}

function lineWith(words: readonly string[], text: string): string | null {
  const wanted = words.map(plain);
  const lines = text.split('\n');
  const at = lines.findIndex((line) => wanted.some((word) => plain(line).includes(word)));
  return at < 0
    ? null
    : (lines[at] ?? '')
        .trim()
        .slice(0, lineShown)
        .replace(/[.。]$/, '');
}

/** In one form for comparing: letters of one width, no capitals, straight apostrophes, single blanks. */
function plain(text: string): string {
  return text.normalize('NFKC').toLowerCase().replace(/[’‘ʼ]/g, "'").replace(/\s+/g, ' ');
}
