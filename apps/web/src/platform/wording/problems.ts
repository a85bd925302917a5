import type { UsedBy } from '@hapset/contract';
import type { ApiReason, ApiError } from '../api/problem-error.js';
import { plural } from './figures.js';
import { namesListed } from './scanners.js';

/** Every reason in words: what is, then what to do. */
export const problemWords: Readonly<Record<ApiReason, string>> = {
  'not-signed-in': 'Your session has ended. Sign in again and go on where you were.',
  'wrong-credentials': 'This e-mail address and password do not belong together. Check both and try once more.',
  'too-many-attempts': 'That was tried too often from here. Wait a little, then try again.',
  'not-allowed': 'Your account may not do this. Ask the school’s office or its administrator.',
  'wrong-origin':
    'This page was opened under another address than the server expects. Open Hapset under its own address.',
  'not-found': 'This is not here any more. It may have been removed, or it belongs to somebody else.',
  gone: 'Its file is not here any more. Under Sheets you see why, and make it again.',
  invalid: 'Some fields need another value. They are marked.',
  stale: 'This was changed somewhere else meanwhile. The newest version is shown now; what you typed is kept.',
  superseded: 'A newer request took its place.',
  'in-use': 'This is still used. Remove it there first.',
  'not-undoable': 'Only the last import can be undone, and only once.',
  'payload-too-long': 'No code can hold that much. Make it shorter, or put it on a page and use that page’s link.',
  'sheet-needs-go-ahead': 'There is something to look at before this is printed.',
  'rehearsal-outdated': 'Code, size or devices changed during the rehearsal. It starts again.',
  'too-large': 'That is more than can be sent at once. Send it in smaller parts.',
  'storage-full':
    'Your files take all the room there is. Remove some in Shelf › Files, or ask the administrator for more.',
  'unusable-picture': 'This picture can’t be read. Save it as JPEG or PNG and upload it again.',
  busy: 'Many people do this at the same moment. Wait a few seconds, then try again.',
  unavailable:
    'The server can’t answer just now. Nothing you saved is lost, and what you typed stays here. It tries again by itself.',
  failed: 'Something failed on the server. Nothing of yours is lost; try again in a moment.',
  unreachable: 'The server can’t be reached. Check the network; what you typed stays here.',
};

/** "“Life between the tides” and 2 more lessons still show this. Remove it there first." */
function usedByWords({ kind, names, count }: UsedBy): string {
  if (kind === 'school')
    return 'The school uses this where nothing else is chosen. Ask the administrator to choose another.';
  if (kind === 'code')
    return `${plural(count, 'lesson or material', 'lessons and materials')} ${count === 1 ? 'uses' : 'use'} this. Choose something else there first.`;
  const more = count - names.length;
  const all = [...names.map((name) => `“${name}”`), ...(more > 0 ? [plural(more, `more ${kind}`)] : [])];
  return `${namesListed(all)} still ${count === 1 ? 'shows' : 'show'} this. Remove it there first.`;
}

/** The sentence for whatever was thrown. */
export function wordsFor(error: unknown): string {
  const { reason, usedBy } = (error ?? {}) as Partial<ApiError>;
  if (usedBy) return usedByWords(usedBy);
  return reason !== undefined && reason in problemWords ? problemWords[reason] : problemWords.failed;
}
