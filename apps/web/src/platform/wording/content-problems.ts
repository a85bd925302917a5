import type { ContentProblemReason } from '@hapset/core';

export const contentProblemWords: Readonly<Record<ContentProblemReason, string>> = {
  needed: 'This is needed.',
  'no-email': 'Write a whole e-mail address, with @ and a dot after it.',
  'no-number': 'Write a phone number: digits, with + and the country’s code in front if you like.',
  'no-web-address': 'Write a whole address that begins with http or https.',
  'no-day': 'Choose a day that exists.',
  'ends-before-it-starts': 'It ends before it begins.',
  'end-without-start': 'With an end it needs a beginning.',
  'out-of-range': 'Degrees north go from -90 to 90, degrees east from -180 to 180.',
  'password-length': 'A WPA password has 8 to 63 characters.',
};
