/** Colours of bands: pale, so that black letters stand out from them and they take little ink. The name is on them in words. */
const palette = ['#ffe08a', '#bfe3cb', '#bfdcf7', '#f7cacb', '#dccdf3', '#ffd3ab', '#c6e6ea', '#e3e2b4'] as const;

/**
 * One for each name: neighbours differ, and the same school has the same next time, as long as its classes are the same.
 * @param names of all classes or years, once each
 * @returns `#rrggbb` by name
 */
export function bandColours(names: readonly string[]): ReadonlyMap<string, string> {
  const sorted = [...new Set(names)].sort((one, other) => (one < other ? -1 : 1));
  return new Map(sorted.map((name, index) => [name, palette[index % palette.length] as string]));
}
