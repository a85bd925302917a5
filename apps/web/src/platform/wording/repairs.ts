import type { Repair, RepairKind } from '@hapset/core';
import { t } from './words.js';

const words: Readonly<Record<RepairKind, string>> = {
  'invisible-removed': t('repairs.removedInvisibleCharacters'),
  'line-break-joined': t('repairs.joinedTwoLines'),
  'quote-removed': t('repairs.removedQuotationMarks'),
  'bracket-removed': t('repairs.removedBrackets'),
  'scheme-doubled': t('repairs.removedASecond'),
  'scheme-repaired': t('repairs.changedTheStartTo'),
  'blank-removed': t('repairs.removedSpaces'),
  'trailing-punctuation': t('repairs.removedFromTheEnd'),
  'scheme-missing': t('repairs.added'),
  'slash-turned': 'changed \\ to /',
  'dot-repaired': t('repairs.replacedCommasWithDots'),
  'entity-decoded': t('repairs.changedAmpTo'),
  'markup-removed': t('repairs.removedFormatting'),
  'blank-encoded': t('repairs.wroteSpacesAs20'),
  'percent-decoded': t('repairs.decodedTheLink'),
};

/** What is shown behind the words, where it can be seen. */
const shown: Partial<Record<RepairKind, 'removed' | 'added'>> = {
  'scheme-doubled': 'removed',
  'scheme-repaired': 'added',
  'trailing-punctuation': 'removed',
  'scheme-missing': 'added',
};

/** A correction in words with what it touched, where that can be seen. */
export function repairSentence(repair: Repair): { readonly words: string; readonly what: string } {
  const part = shown[repair.kind];
  return { words: words[repair.kind], what: part ? repair[part] : '' };
}
