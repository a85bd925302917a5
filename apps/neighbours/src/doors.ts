/** Who is let in where, and the owner's page that decides it: the same for all services that share Gatepost. */
import type { Request, Response } from 'express';
import type { Door, Kept } from './contents.js';
import type { Cupboard } from './cupboard.js';
import type { Gatepost } from './gatepost.js';
import { people } from './gatepost.js';
import { escapeHtml } from './page.js';

export type Entrance = 'enter' | 'to-the-gate' | 'ask' | 'forbidden';

/** What happens to a visitor at a thing's door. */
export function entrance(kept: Kept, visitor: string | null): Entrance {
  if (kept.door === 'open' || visitor === kept.owner) return 'enter';
  if (kept.door === 'school') return visitor !== null && visitor in people ? 'enter' : 'to-the-gate';
  if (visitor === null) return 'ask';
  return kept.chosen.includes(visitor) ? 'enter' : 'forbidden';
}

export function fullAddress(request: Request): string {
  return `http://${request.headers.host ?? ''}${request.originalUrl}`;
}

/** True when the visitor owns the thing; otherwise the answer has been sent. */
export function ownerOnly(kept: Kept, gatepost: Gatepost, request: Request, response: Response): boolean {
  const visitor = gatepost.visitor(request);
  if (visitor === kept.owner) return true;
  if (visitor === null) response.redirect(gatepost.comeInAddress(fullAddress(request)));
  else response.status(403).type('text/plain').send(`Only ${kept.owner} decides this.`);
  return false;
}

const doorWords: readonly (readonly [Door, string])[] = [
  ['open', 'No sign-in needed'],
  ['school', 'Our school'],
  ['chosen', 'Chosen people'],
];

/** The three radio buttons of an owner's page. */
export function doorChoices(kept: Kept): string {
  return doorWords
    .map(([door, words]) => `<p><label><input type="radio" name="door" value="${door}"${kept.door === door ? ' checked' : ''}> ${escapeHtml(words)}</label></p>`)
    .join('');
}

/** Takes what the owner chose. */
export function setDoor(kept: Kept, choice: unknown, cupboard: Cupboard): void {
  const door = doorWords.find(([name]) => name === choice)?.[0];
  if (door) kept.door = door;
  cupboard.save();
}
