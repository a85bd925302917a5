/** What keeps students out although the material itself is fine: what the school's own server and the teacher decide. */
import { isLoopbackHost, parseUrl } from '../../platform/web-address.js';

/** The first that is found counts. */
export const obstacles = ['shown-until', 'hours', 'address'] as const;
/**
 * `shown-until`: its page is not shown any more. `hours`: its short link does not lead on. `address`: the code carries an
 * address of the school's own that no phone reaches.
 */
export type Obstacle = (typeof obstacles)[number];

/** What is known about a material in its place. */
export interface OwnServing {
  /** Last day on which its page is shown, `YYYY-MM-DD` in the school's zone; null for always. */
  readonly shownUntil: string | null;
  /** The day on which it is wanted: the lesson's, or today, `YYYY-MM-DD` in the school's zone. */
  readonly wantedOn: string;
  /** Whether its short link leads on when it is wanted; true where none is carried. */
  readonly leadsOn: boolean;
  /** The address of the school's own that the code carries; null where it carries another's, or none. */
  readonly ownAddress: string | null;
}

/** Null where nothing is in the way. */
export function findObstacle({ shownUntil, wantedOn, leadsOn, ownAddress }: OwnServing): Obstacle | null {
  if (shownUntil !== null && wantedOn > shownUntil) return 'shown-until';
  if (!leadsOn) return 'hours';
  return ownAddress !== null && isOnThisComputerOnly(ownAddress) ? 'address' : null;
}

/** Whether only the computer that serves it gets there: a loopback address (RFC 1122, 3.2.1.3) or none at all. */
export function isOnThisComputerOnly(address: string): boolean {
  const hostName = parseUrl(address)?.hostname;
  return hostName !== undefined && (isLoopbackHost(hostName) || hostName === '0.0.0.0');
}
