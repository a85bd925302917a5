/** How often one address may do what nobody signed in for: enough for a class behind one address, too little to fish. */
const windowMs = 10 * 60 * 1000;
const attemptsInWindow = 60;
const addressesKept = 5000;

/** Kept by each server for itself: what a guesser wins by asking another one is worth nothing. */
export class AttemptWindow {
  private readonly taken = new Map<string, { since: number; count: number }>();

  /** @param now milliseconds since 1970 @returns 0, or the seconds to wait once there were too many */
  take(address: string, now: number): number {
    const known = this.taken.get(address);
    if (!known || now - known.since >= windowMs) {
      if (this.taken.size >= addressesKept) this.taken.clear();
      this.taken.set(address, { since: now, count: 1 });
      return 0;
    }
    known.count += 1;
    return known.count <= attemptsInWindow ? 0 : Math.ceil((known.since + windowMs - now) / 1000);
  }
}
