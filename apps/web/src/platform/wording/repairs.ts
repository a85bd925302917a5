import type { Repair, RepairKind } from '@hapset/core';

const words: Readonly<Record<RepairKind, string>> = {
  'invisible-removed': 'removed invisible characters',
  'line-break-joined': 'joined two lines',
  'quote-removed': 'removed quotation marks',
  'bracket-removed': 'removed brackets',
  'scheme-doubled': 'removed a second',
  'scheme-mended': 'changed the start to',
  'blank-removed': 'removed spaces',
  'trailing-punctuation': 'removed from the end',
  'scheme-missing': 'added',
  'slash-turned': 'changed \\ to /',
  'dot-mended': 'replaced commas with dots',
  'entity-decoded': 'changed &amp; to &',
  'markup-removed': 'removed formatting',
  'blank-encoded': 'wrote spaces as %20',
  'percent-decoded': 'decoded the link',
};

/** What is shown behind the words, where it can be seen. */
const shown: Partial<Record<RepairKind, 'removed' | 'added'>> = {
  'scheme-doubled': 'removed',
  'scheme-mended': 'added',
  'trailing-punctuation': 'removed',
  'scheme-missing': 'added',
};

/** A correction in words with what it touched, where that can be seen. */
export function repairSentence(repair: Repair): { readonly words: string; readonly what: string } {
  const part = shown[repair.kind];
  return { words: words[repair.kind], what: part ? repair[part] : '' };
}
