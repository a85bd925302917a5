/** How often one address is told more than "not known": enough for a class that types from paper, too little to fish for slugs. */
const windowMs = 10 * 60 * 1000;
const hintsInWindow = 60;
const addressesKept = 5000;

/** Kept by each server for itself: what a guesser wins by asking another one is worth nothing. */
export class HintLimit {
  private readonly taken = new Map<string, { since: number; count: number }>();

  /** @param now milliseconds since 1970 @returns false once there were too many */
  take(address: string, now: number): boolean {
    const known = this.taken.get(address);
    if (!known || now - known.since >= windowMs) {
      if (this.taken.size >= addressesKept) this.taken.clear();
      this.taken.set(address, { since: now, count: 1 });
      return true;
    }
    known.count += 1;
    return known.count <= hintsInWindow;
  }
}
