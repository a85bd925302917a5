/** Looks again until it is as wanted, or a few seconds have passed: what is written behind an answer comes a moment later. */
export async function until<T>(look: () => Promise<T>, done: (value: T) => boolean): Promise<T> {
  let value = await look();
  for (let attempt = 0; attempt < 120 && !done(value); attempt += 1) {
    await new Promise((resolve) => setTimeout(resolve, 25));
    value = await look();
  }
  return value;
}
