/**
 * Cards that were read and are not sent yet, with their time: they stay in this tab, so that a reload loses none, and are gone
 * with it. They are children's, so nothing of them is kept in the browser any longer than that.
 */
const key = (accountId: string): string => `hapset unsent cards ${accountId}`;
const most = 500;

export interface UnsentCard {
  readonly text: string;
  readonly typed: boolean;
  /** By this device's clock, milliseconds since 1970. */
  readonly readAtMs: number;
}

/** None where the browser keeps nothing, or what it kept is of another shape. */
export function loadUnsent(accountId: string): readonly UnsentCard[] {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key(accountId)) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isUnsent).slice(0, most) : [];
  } catch {
    return [];
  }
}

export function keepUnsent(accountId: string, cards: readonly UnsentCard[]): void {
  try {
    if (cards.length === 0) sessionStorage.removeItem(key(accountId));
    else sessionStorage.setItem(key(accountId), JSON.stringify(cards.slice(0, most)));
  } catch {
    // The page still holds them.
  }
}

function isUnsent(value: unknown): value is UnsentCard {
  if (typeof value !== 'object' || value === null) return false;
  const { text, typed, readAtMs } = value as Record<string, unknown>;
  return typeof text === 'string' && typeof typed === 'boolean' && typeof readAtMs === 'number';
}
