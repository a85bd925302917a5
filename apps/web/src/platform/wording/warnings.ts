import type { SheetWarning } from '@hapset/contract';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  'no-code': 'No code holds what it carries; it is left out.',
  locked: 'It asks students to sign in, or lets only chosen people in.',
  'not-opening': 'It does not open for students.',
  'to-check': 'It is not certain that it opens for students.',
  'not-opened-yet': 'It was never opened as a student.',
  'code-to-check': 'The code is very fine, or a device of the class shows it as text only.',
  'does-not-read': 'Not every device of the class reads it from where students stand.',
  'address-not-reachable':
    'The code carries the address of this server, and only this computer reaches it. An administrator can set the public address under School.',
  'too-small': 'The code is too small to be read from where it should be.',
  'text-cut': 'Title, instruction or address are too long for the page and would be cut.',
  'text-left-out': 'There is no room for some of the texts; they would be left out.',
  'missing-characters': 'No font of the sheets has some of the characters; they would print as empty boxes.',
};
