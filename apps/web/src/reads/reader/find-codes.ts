import type { GreyFrame } from '@hapset/core';
import type { FoundCode } from '@hapset/readers';
import { askReader } from './reader-pool.js';

/** All codes in a frame. */
export async function findCodes(frame: GreyFrame, signal: AbortSignal | null = null): Promise<readonly FoundCode[]> {
  let found: readonly FoundCode[] = [];
  await askReader({ kind: 'find', frame }, signal, (message) => {
    if (message.kind === 'codes') found = message.codes;
    return message.kind === 'codes';
  });
  return found;
}
