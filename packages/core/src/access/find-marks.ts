/** Words that walls use, as data, and the one way to look for them. English for now; other languages join the same lists. */
import type { KnownWall, ServiceCatalogue } from '../service/catalogue.js';
import type { WallDescription } from '../service/description.js';
import { hostMatches, serviceAt } from '../service/match.js';
import type { Evidence, PageFacts } from './evidence.js';

export const marks = {
  askForAccess: ['request access', 'ask for access', 'you need access', 'you need permission', 'access denied', "don't have permission", 'do not have permission', 'not shared with you', 'private video'],
  signIn: ['sign in to continue', 'log in to continue', 'please sign in', 'please log in', 'you must be signed in', 'you must be logged in', 'sign in to view', 'log in to view'],
  signInTitle: ['sign in', 'log in', 'login', 'sign-in', 'log-in'],
  closed: ['no longer accepting responses', 'no longer accepting answers', 'form is closed', 'survey is closed', 'takes no more answers', 'not accepting responses'],
  missing: ['page not found', 'not found', 'no longer exists', 'does not exist', 'has been deleted', 'has been removed', 'video unavailable', 'nothing here'],
} as const;

/** A page this short can be a notice; a longer one is an article that may talk about anything. In characters. */
export const noticeLength = 900;

/** The first of the words that title or first lines contain; null when none does. */
export function findWords(page: PageFacts, words: readonly string[]): string | null {
  const text = textOf(page).toLowerCase().replace(/’/g, "'");
  return words.find((word) => text.includes(word)) ?? null;
}

function textOf(page: PageFacts): string {
  return [page.title, ...page.firstLines].join('\n');
}

/** Same, but only on a page short enough to be a notice rather than an article. */
export function findNotice(evidence: Evidence, words: readonly string[]): string | null {
  const page = evidence.final?.page;
  return page && page.visibleCharacters <= noticeLength ? findWords(page, words) : null;
}

/** The wall of that kind which the link's service is known for, when the final page is it. */
export function findWall(evidence: Evidence, catalogue: ServiceCatalogue, verdict: WallDescription['verdict']): WallDescription | null {
  const { final, asked } = evidence;
  const service = URL.canParse(asked) ? serviceAt(new URL(asked).hostname, catalogue) : null;
  if (!final || !service) return null;
  return service.walls.find((known) => known.wall.verdict === verdict && isWall(known, final.address, final.page))?.wall ?? null;
}

function isWall({ wall, matches }: KnownWall, address: string, page: PageFacts | null): boolean {
  if (wall.host !== undefined && !hostMatches(wall.host, new URL(address).hostname)) return false;
  if (wall.words !== undefined && (page === null || findWords(page, wall.words.map((words) => words.toLowerCase())) === null)) return false;
  return wall.pattern === undefined || (page !== null && matches(textOf(page)));
}
