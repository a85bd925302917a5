/** Fields that files of earlier versions call by another name. Everything else is left to the check of a description's shape. */

const earlierNames: Readonly<Record<string, string>> = { mending: 'fixes' };

/** @param given anything that was read. @returns it with the names of today; the earlier name stays where today's is there too */
export function withTodaysNames(given: unknown): unknown {
  if (typeof given !== 'object' || given === null || Array.isArray(given)) return given;
  return Object.fromEntries(
    Object.entries(given).map(([name, value]) => {
      const today = earlierNames[name];
      return [today !== undefined && !(today in given) ? today : name, value];
    }),
  );
}
