/** The fields of each kind, as data: one form draws them all. */
import { networkSecurities, type Content, type ContentKind } from '@hapset/core';
import { t } from '../words.js';

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
  WPA: t('kindFields.wPAWithAPassword'),
  WEP: 'WEP (old)',
  open: t('kindFields.openWithoutAPassword'),
};

export const kindForms: Readonly<Record<ContentKind, KindForm>> = {
  contact: {
    about: t('kindFields.aPhoneOffersToAdd'),
    empty: { kind: 'contact', givenName: '', familyName: '', organisation: '', phone: '', email: '', webPage: '' },
    fields: [
      { name: 'givenName', label: t('kindFields.givenName'), input: 'text', half: true },
      { name: 'familyName', label: t('kindFields.familyName'), input: 'text', half: true },
      { name: 'organisation', label: t('kindFields.organisation'), input: 'text' },
      { name: 'phone', label: t('kindFields.phone'), input: 'tel', half: true },
      { name: 'email', label: t('kindFields.eMailAddress'), input: 'email', half: true },
      { name: 'webPage', label: t('kindFields.webPage'), input: 'url' },
    ],
  },
  event: {
    about: t('kindFields.aPhoneOffersToAdd2'),
    empty: { kind: 'event', title: '', date: '', startsAt: '', endsAt: '', place: '', about: '' },
    fields: [
      { name: 'title', label: t('kindFields.eventName'), input: 'text' },
      { name: 'date', label: t('kindFields.day'), input: 'date' },
      {
        name: 'startsAt',
        label: t('kindFields.beginsAt'),
        hint: t('kindFields.emptyForTheWholeDay'),
        input: 'time',
        half: true,
      },
      { name: 'endsAt', label: t('kindFields.endsAt'), input: 'time', half: true },
      { name: 'place', label: t('kindFields.place'), input: 'text' },
      { name: 'about', label: t('kindFields.notes'), input: 'long' },
    ],
  },
  place: {
    about: t('kindFields.aPhoneOpensItsMap'),
    empty: { kind: 'place', name: '', latitude: Number.NaN, longitude: Number.NaN },
    fields: [
      {
        name: 'name',
        label: t('kindFields.nameOfThePlace'),
        hint: t('kindFields.shownToYouAndPrinted'),
        input: 'text',
      },
      {
        name: 'latitude',
        label: t('kindFields.degreesNorth'),
        hint: t('kindFields.southIsNegative3386'),
        input: 'number',
        half: true,
      },
      {
        name: 'longitude',
        label: t('kindFields.degreesEast'),
        hint: t('kindFields.westIsNegative626'),
        input: 'number',
        half: true,
      },
    ],
  },
  'e-mail': {
    about: t('kindFields.aPhoneOpensANew'),
    empty: { kind: 'e-mail', address: '', subject: '', text: '' },
    fields: [
      { name: 'address', label: 'To', input: 'email' },
      { name: 'subject', label: t('kindFields.subject'), input: 'text' },
      { name: 'text', label: t('kindFields.text'), input: 'long' },
    ],
  },
  phone: {
    about: t('kindFields.aPhoneOffersToCall'),
    empty: { kind: 'phone', number: '', name: '' },
    fields: [
      {
        name: 'number',
        label: t('kindFields.number'),
        hint: t('kindFields.addTheCountryCode353'),
        input: 'tel',
      },
      { name: 'name', label: t('kindFields.whoseIsIt'), hint: t('kindFields.shownToYouAndPrinted2'), input: 'text' },
    ],
  },
  'text-message': {
    about: t('kindFields.aPhoneOpensANew2'),
    empty: { kind: 'text-message', number: '', text: '' },
    fields: [
      { name: 'number', label: t('kindFields.phoneNumber'), input: 'tel' },
      { name: 'text', label: t('kindFields.text'), input: 'long' },
    ],
  },
  network: {
    about: t('kindFields.aPhoneOffersToJoin'),
    empty: { kind: 'network', name: '', security: 'WPA', password: '', hidden: false },
    fields: [
      { name: 'name', label: t('kindFields.nameOfTheNetwork'), input: 'text' },
      {
        name: 'security',
        label: t('kindFields.kind'),
        input: 'choice',
        choices: networkSecurities.map((security) => [security, securityWords[security]] as const),
      },
      {
        name: 'password',
        label: t('kindFields.password'),
        hint: t('kindFields.anyoneWhoScansTheCode'),
        input: 'text',
      },
      { name: 'hidden', label: t('kindFields.hiddenNetwork'), input: 'tick' },
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
