import type { SheetWarning } from '@hapset/contract';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  locked: 'It does not open for students yet.',
  'not-opened-yet': 'It was never opened as a student.',
  'does-not-read': 'Not every device of the class reads it from where students stand.',
  'address-not-reachable': 'Its page is kept here, and the school’s public address leads to this computer alone: no phone can reach it. The administrator sets the address in School.',
  'text-cut': 'Title, instruction or address are too long for the page and would be cut.',
  'missing-characters': 'The sheet’s fonts lack some characters; they would print as empty boxes.',
};
