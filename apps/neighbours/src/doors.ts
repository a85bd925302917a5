/** Who is let in where, and the owner's page that decides it: the same for all services that share Gatepost. */
import type { Request, Response } from 'express';
import type { Door, Kept } from './contents.js';
import type { Cupboard } from './cupboard.js';
import type { Gatepost } from './gatepost.js';
import { people } from './gatepost.js';
import { escapeHtml } from './page.js';

export type Entrance = 'enter' | 'over' | 'to-the-gate' | 'ask' | 'forbidden';

/** What happens to a visitor at a thing's door. */
export function entrance(kept: Pick<Kept, 'owner' | 'door' | 'chosen' | 'until'>, visitor: string | null): Entrance {
  if (visitor === kept.owner) return 'enter';
  if (kept.until !== null && kept.until < today()) return 'over';
  if (kept.door === 'open') return 'enter';
  if (kept.door === 'school') return visitor !== null && visitor in people ? 'enter' : 'to-the-gate';
  if (visitor === null) return 'ask';
  return kept.chosen.includes(visitor) ? 'enter' : 'forbidden';
}

function today(): string {
  return new Date().toISOString().slice(0, 10);
}

export function fullAddress(request: Request): string {
  return `http://${request.headers.host ?? ''}${request.originalUrl}`;
}

/** True when the visitor owns the thing; otherwise the answer has been sent. */
export function ownerOnly(
  kept: { readonly owner: string },
  gatepost: Gatepost,
  request: Request,
  response: Response,
): boolean {
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

/** The three radio buttons of an owner's page, and the day on which the link ends. */
export function doorChoices({ door: chosen, until }: Pick<Kept, 'door' | 'until'>, name = 'door'): string {
  const doors = doorWords.map(
    ([door, words]) =>
      `<p><label><input type="radio" name="${name}" value="${door}"${chosen === door ? ' checked' : ''}> ${escapeHtml(words)}</label></p>`,
  );
  return `${doors.join('')}${name === 'door' ? `<p><label>Lasts until <input type="date" name="until" value="${until ?? ''}"></label> (empty: for good)</p>` : ''}`;
}

export function doorOf(choice: unknown): Door | null {
  return doorWords.find(([name]) => name === choice)?.[0] ?? null;
}

/** Takes what the owner chose. */
export function setDoor(kept: Kept, choice: unknown, until: unknown, cupboard: Cupboard): void {
  kept.door = doorOf(choice) ?? kept.door;
  if (typeof until === 'string') kept.until = /^\d{4}-\d\d-\d\d$/.test(until) ? until : null;
  cupboard.save();
}
