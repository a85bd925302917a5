/**
 * Sends a long list in parts, one after the other, and gives all replies in order. What was sent before a part fails stays sent.
 * @param most items a part may have at most
 */
export async function inParts<Item, Reply>(
  items: readonly Item[],
  most: number,
  send: (part: readonly Item[]) => Promise<readonly Reply[]>,
): Promise<readonly Reply[]> {
  const replies: Reply[] = [];
  for (let start = 0; start < items.length; start += most)
    replies.push(...(await send(items.slice(start, start + most))));
  return replies;
}
