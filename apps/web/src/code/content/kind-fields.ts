/** The fields of each kind, as data: one form draws them all. */
import { networkSecurities, type Content, type ContentKind } from '@hapset/core';

export interface KindField {
  readonly name: string;
  readonly label: string;
  readonly hint?: string;
  readonly input: 'text' | 'tel' | 'email' | 'url' | 'date' | 'time' | 'number' | 'long' | 'choice' | 'tick';
  readonly choices?: readonly (readonly [string, string])[];
  /** Half the width beside its neighbour. */
  readonly half?: boolean;
}

export interface KindForm {
  /** What a phone does with it, and what to know. */
  readonly about: string;
  readonly fields: readonly KindField[];
  readonly empty: Content;
}

const securityWords: Readonly<Record<(typeof networkSecurities)[number], string>> = {
  WPA: 'WPA (with a password)',
  WEP: 'WEP (old)',
  open: 'Open, without a password',
};

export const kindForms: Readonly<Record<ContentKind, KindForm>> = {
  contact: {
    about: 'A phone offers to add the contact.',
    empty: { kind: 'contact', givenName: '', familyName: '', organisation: '', phone: '', email: '', webPage: '' },
    fields: [
      { name: 'givenName', label: 'Given name', input: 'text', half: true },
      { name: 'familyName', label: 'Family name', input: 'text', half: true },
      { name: 'organisation', label: 'Organisation', input: 'text' },
      { name: 'phone', label: 'Phone', input: 'tel', half: true },
      { name: 'email', label: 'E-mail address', input: 'email', half: true },
      { name: 'webPage', label: 'Web page', input: 'url' },
    ],
  },
  event: {
    about: 'A phone offers to add it to the calendar. Times are the school’s; phones elsewhere show their own.',
    empty: { kind: 'event', title: '', date: '', startsAt: '', endsAt: '', place: '', about: '' },
    fields: [
      { name: 'title', label: 'What happens?', input: 'text' },
      { name: 'date', label: 'Day', input: 'date' },
      { name: 'startsAt', label: 'Begins at', hint: 'Empty for the whole day.', input: 'time', half: true },
      { name: 'endsAt', label: 'Ends at', input: 'time', half: true },
      { name: 'place', label: 'Place', input: 'text' },
      { name: 'about', label: 'More about it', input: 'long' },
    ],
  },
  place: {
    about: 'A phone opens its map there.',
    empty: { kind: 'place', name: '', latitude: Number.NaN, longitude: Number.NaN },
    fields: [
      {
        name: 'name',
        label: 'What is there?',
        hint: 'For you and the sheet; the code holds the position alone.',
        input: 'text',
      },
      { name: 'latitude', label: 'Degrees north', hint: 'South is negative: -33.86', input: 'number', half: true },
      { name: 'longitude', label: 'Degrees east', hint: 'West is negative: -6.26', input: 'number', half: true },
    ],
  },
  'e-mail': {
    about: 'A phone opens a new mail, ready to be finished and sent.',
    empty: { kind: 'e-mail', address: '', subject: '', text: '' },
    fields: [
      { name: 'address', label: 'To', input: 'email' },
      { name: 'subject', label: 'Subject', input: 'text' },
      { name: 'text', label: 'Text', input: 'long' },
    ],
  },
  phone: {
    about: 'A phone offers to call.',
    empty: { kind: 'phone', number: '', name: '' },
    fields: [
      {
        name: 'number',
        label: 'Number',
        hint: 'With the country’s code it works from anywhere: +353 1 555 0199',
        input: 'tel',
      },
      { name: 'name', label: 'Whose is it?', hint: 'For you and the sheet.', input: 'text' },
    ],
  },
  'text-message': {
    about: 'A phone opens a new text message, ready to be sent.',
    empty: { kind: 'text-message', number: '', text: '' },
    fields: [
      { name: 'number', label: 'To number', input: 'tel' },
      { name: 'text', label: 'Text', input: 'long' },
    ],
  },
  network: {
    about: 'A phone offers to join. Whoever scans the code can read the password in it.',
    empty: { kind: 'network', name: '', security: 'WPA', password: '', hidden: false },
    fields: [
      { name: 'name', label: 'Name of the network', input: 'text' },
      {
        name: 'security',
        label: 'Kind',
        input: 'choice',
        choices: networkSecurities.map((security) => [security, securityWords[security]] as const),
      },
      { name: 'password', label: 'Password', hint: 'Readable for whoever scans the code.', input: 'text' },
      { name: 'hidden', label: 'The network hides its name', input: 'tick' },
    ],
  },
};

/** What a form holds before it is checked: text for everything but ticks. */
export type FormValues = Record<string, string | boolean>;

export function toFormValues(content: Content): FormValues {
  return Object.fromEntries(
    Object.entries(content).map(([name, value]: [string, unknown]) => [
      name,
      typeof value === 'boolean'
        ? value
        : typeof value === 'number'
          ? Number.isNaN(value)
            ? ''
            : String(value)
          : String(value),
    ]),
  );
}

/** Numbers may have a comma; text is trimmed and in NFC. */
export function toContent(kind: ContentKind, values: FormValues): Content {
  const read = Object.fromEntries(
    kindForms[kind].fields.map(({ name, input }) => {
      const value = values[name] ?? '';
      if (typeof value === 'boolean') return [name, value];
      if (input === 'number') return [name, value.trim() === '' ? Number.NaN : Number(value.replace(',', '.'))];
      return [name, input === 'long' ? value.normalize('NFC') : value.normalize('NFC').trim()];
    }),
  );
  return { ...kindForms[kind].empty, ...read, kind } as Content;
}
