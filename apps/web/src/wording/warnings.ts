import type { SheetWarning } from '@hapset/contract';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  locked: 'It does not open for students yet.',
  'not-opened-yet': 'It was never opened as a student.',
  'does-not-read': 'Not every device of the class reads it from where students stand.',
  'text-cut': 'Title, instruction or address are too long for the page and would be cut.',
  'missing-characters': 'The sheet’s fonts lack some characters; they would print as empty boxes.',
};
