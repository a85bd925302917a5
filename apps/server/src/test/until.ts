/** Looks again until it is as wanted, or the time is over: what is written behind an answer comes a moment later. */
export async function until<T>(look: () => Promise<T>, done: (value: T) => boolean, longestMs = 90_000): Promise<T> {
  let value = await look();
  for (const end = Date.now() + longestMs; Date.now() < end && !done(value);) {
    await new Promise((resolve) => setTimeout(resolve, 25));
    value = await look();
  }
  return value;
}
