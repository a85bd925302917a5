import type { Repair, RepairKind } from '@hapset/core';

export const repairWords: Readonly<Record<RepairKind, string>> = {
  'invisible-removed': 'took out invisible characters',
  'line-break-joined': 'joined two lines',
  'quote-removed': 'took off quotation marks',
  'bracket-removed': 'took off brackets',
  'scheme-doubled': 'took out a second',
  'scheme-mended': 'mended the start to',
  'blank-removed': 'took out blanks',
  'trailing-punctuation': 'took off the end',
  'scheme-missing': 'put in front',
};

/** The repair in words with what it touched, where that can be seen. */
export function repairSentence({ kind, removed, added }: Repair): { readonly words: string; readonly what: string } {
  const seen: Partial<Record<RepairKind, string>> = {
    'quote-removed': removed,
    'bracket-removed': removed,
    'scheme-doubled': removed,
    'scheme-mended': added,
    'trailing-punctuation': removed,
    'scheme-missing': added,
  };
  return { words: repairWords[kind], what: seen[kind] ?? '' };
}
