/** Words that walls use, as data, and the one way to look for them. English for now; other languages join the same lists. */
import { describeAddress, hostMatches } from '../service/match.js';
import type { ServiceDescription, WallDescription } from '../service/description.js';
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
  const text = [page.title, ...page.firstLines].join('\n').toLowerCase().replace(/’/g, "'");
  return words.find((word) => text.includes(word)) ?? null;
}

/** Same, but only on a page short enough to be a notice rather than an article. */
export function findNotice(evidence: Evidence, words: readonly string[]): string | null {
  const page = evidence.final?.page;
  return page && page.visibleCharacters <= noticeLength ? findWords(page, words) : null;
}

/** The wall of that kind which the link's service is known for, when the final page is it. */
export function findWall(evidence: Evidence, services: readonly ServiceDescription[], verdict: WallDescription['verdict']): WallDescription | null {
  const { final } = evidence;
  const service = describeAddress(evidence.asked, services)?.service;
  if (!final || !service) return null;
  return service.walls.find((wall) => wall.verdict === verdict && isWall(wall, final.address, final.page)) ?? null;
}

function isWall(wall: WallDescription, address: string, page: PageFacts | null): boolean {
  if (wall.host === undefined && wall.words === undefined) return false;
  if (wall.host !== undefined && !hostMatches(wall.host, new URL(address).hostname)) return false;
  return wall.words === undefined || (page !== null && findWords(page, wall.words) !== null);
}
