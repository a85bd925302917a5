/**
 * One piece of work at a time for each key, and one that waits: a newer request takes the place of the waiting one,
 * whose answer nobody looks at any more.
 */
export class Superseded extends Error {}

interface Line {
  waiting: { readonly begin: () => void; readonly giveWay: () => void } | null;
}

export class LatestOnly {
  private readonly lines = new Map<string, Line>();

  /** @throws Superseded where a newer request of the same key came while it waited */
  async run<Made>(key: string, work: () => Promise<Made>): Promise<Made> {
    const line = this.lines.get(key);
    if (line) {
      line.waiting?.giveWay();
      await new Promise<void>(
        (resolve, reject) =>
          (line.waiting = { begin: resolve, giveWay: () => reject(new Superseded('a newer request came')) }),
      );
      line.waiting = null;
    } else this.lines.set(key, { waiting: null });
    try {
      return await work();
    } finally {
      const next = this.lines.get(key)?.waiting;
      if (next) next.begin();
      else this.lines.delete(key);
    }
  }
}
