/**
 * Addresses under /K/ that lead nowhere, counted per network address and in all. A class that mistypes is far below the
 * limits; who tries them out one after the other is answered slowly. Addresses stay in memory and nowhere else.
 */
const windowMs = 10 * 60 * 1000;
/** From one address, and from all together, within the window. */
export const missesFree = { fromOne: 100, inAll: 3000 } as const;
/** How long a slowed answer takes. */
export const slowMs = 2000;
const addressesKept = 20_000;

interface Count {
  since: number;
  misses: number;
}

export class MissWindow {
  private readonly byAddress = new Map<string, Count>();
  private readonly all: Count = { since: 0, misses: 0 };

  /** Counts a miss. @param now milliseconds since 1970 @returns ms to wait before it is answered */
  add(address: string, now: number): number {
    const own = this.byAddress.get(address) ?? { since: now, misses: 0 };
    // The oldest first: a guesser with many addresses pushes out no more than as many others.
    this.byAddress.delete(address);
    if (this.byAddress.size >= addressesKept) this.byAddress.delete(this.byAddress.keys().next().value ?? '');
    this.byAddress.set(address, own);
    const fromOne = count(own, now);
    const inAll = count(this.all, now);
    return fromOne > missesFree.fromOne || inAll > missesFree.inAll ? slowMs : 0;
  }
}

function count(count: Count, now: number): number {
  if (now - count.since >= windowMs) Object.assign(count, { since: now, misses: 0 });
  count.misses += 1;
  return count.misses;
}
