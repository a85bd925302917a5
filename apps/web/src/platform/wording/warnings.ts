import type { SheetWarning } from '@hapset/contract';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  'no-code': 'No code holds what it carries; it is left out.',
  locked: 'It does not open for students yet.',
  'not-opened-yet': 'It was never opened as a student.',
  'does-not-read': 'Not every device of the class reads it from where students stand.',
  'address-not-reachable':
    'Its page is kept here, and the school’s public address leads to this computer alone: no phone can reach it. The administrator sets the address in School.',
  'too-small': 'The code is too small to be read from where it should be.',
  'text-cut': 'Title, instruction or address are too long for the page and would be cut.',
  'text-left-out': 'There is no room for some of the texts; they would be left out.',
  'missing-characters': 'No font of the sheets has some of the characters; they would print as empty boxes.',
};
