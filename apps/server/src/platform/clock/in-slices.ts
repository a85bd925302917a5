/** Work on a long list that lets the server answer others in between. */
import { setImmediate as turn } from 'node:timers/promises';

/** As many as take some milliseconds together. */
const sliceLength = 100;

/** Maps in order; between two slices whatever waits is done. */
export async function mapInSlices<Item, Made>(
  items: readonly Item[],
  make: (item: Item, index: number) => Made,
): Promise<Made[]> {
  const made: Made[] = [];
  for (const [index, item] of items.entries()) {
    if (index > 0 && index % sliceLength === 0) await turn();
    made.push(make(item, index));
  }
  return made;
}
