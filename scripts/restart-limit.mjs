// How often a part that exits is started again: three times in five minutes, each after a longer wait.

const windowMs = 5 * 60_000;
const waitsMs = [500, 2_000, 5_000];

export class RestartLimit {
  #restarts = new Map();

  /** @returns ms to wait before it is started again, null when it ended too often */
  next(name, nowMs) {
    const lately = (this.#restarts.get(name) ?? []).filter((at) => at > nowMs - windowMs);
    if (lately.length >= waitsMs.length) return null;
    this.#restarts.set(name, [...lately, nowMs]);
    return waitsMs[lately.length];
  }
}
