/** What somebody waits for: one lane takes a few at once (a host, for instance), and no owner keeps the others waiting. */
export interface Waiting {
  readonly id: string;
  readonly lane: string;
  readonly ownerId: string;
}

/** How many run at this moment in a lane for an owner. */
export interface Running {
  readonly lane: string;
  readonly ownerId: string;
  readonly count: number;
}

export interface TurnLimits {
  readonly atOnce: number;
  readonly atOneLane: number;
}

/**
 * Who begins now: each time the owner for whom least runs, and of that one's the first in a lane with room. Owners for
 * whom equally much runs take turns by who waits longest.
 * @param waiting the oldest first
 * @returns ids, in the order in which they begin; with what runs they stay within the limits
 */
export function fairTurns(
  waiting: readonly Waiting[],
  running: readonly Running[],
  { atOnce, atOneLane }: TurnLimits,
): readonly string[] {
  const inLane = sumBy(running, ({ lane }) => lane);
  const ofOwner = sumBy(running, ({ ownerId }) => ownerId);
  const queues = new Map<string, Waiting[]>();
  for (const one of waiting) {
    const queue = queues.get(one.ownerId);
    if (queue) queue.push(one);
    else queues.set(one.ownerId, [one]);
  }
  const begun: string[] = [];
  let left = atOnce - running.reduce((sum, { count }) => sum + count, 0);
  while (left > 0) {
    const next = [...queues]
      .flatMap(([ownerId, queue]) => {
        const first = queue.find(({ lane }) => (inLane.get(lane) ?? 0) < atOneLane);
        return first ? [{ first, has: ofOwner.get(ownerId) ?? 0 }] : [];
      })
      .reduce<{ first: Waiting; has: number } | null>(
        (least, one) => (!least || one.has < least.has ? one : least),
        null,
      );
    if (!next) break;
    const { id, lane, ownerId } = next.first;
    queues.set(ownerId, queues.get(ownerId)?.filter((one) => one.id !== id) ?? []);
    inLane.set(lane, (inLane.get(lane) ?? 0) + 1);
    ofOwner.set(ownerId, next.has + 1);
    begun.push(id);
    left -= 1;
  }
  return begun;
}

function sumBy(running: readonly Running[], keyOf: (one: Running) => string): Map<string, number> {
  const sums = new Map<string, number>();
  for (const one of running) sums.set(keyOf(one), (sums.get(keyOf(one)) ?? 0) + one.count);
  return sums;
}
