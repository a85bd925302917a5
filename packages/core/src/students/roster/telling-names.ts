/** Names by which somebody sees at a glance whether a file was read right: each letter beyond ASCII is in one of them. */

/** @param most how many are shown at most @returns the names with most letters that none before shows, in their order of telling */
export function tellingNames(names: readonly string[], most: number): readonly string[] {
  const left = new Map(names.map((name) => [name, new Set(lettersBeyondAscii(name))]));
  const chosen: string[] = [];
  const shown = new Set<string>();
  while (chosen.length < most) {
    let best: string | null = null;
    let bestNew = 0;
    for (const [name, letters] of left) {
      const fresh = [...letters].filter((letter) => !shown.has(letter)).length;
      if (fresh > bestNew) [best, bestNew] = [name, fresh];
    }
    if (best === null) return chosen;
    chosen.push(best);
    lettersBeyondAscii(best).forEach((letter) => shown.add(letter));
    left.delete(best);
  }
  return chosen;
}

function lettersBeyondAscii(name: string): readonly string[] {
  // Signs too, but for the apostrophes and dashes of names: they tell that a name was read wrong.
  return [...name].filter((letter) => letter > '\x7e' && !/[\s’‘–]/u.test(letter));
}
