/**
 * A contact as vCard. Version 3.0 (RFC 2426) is written, since phones' documentation names 3.0 as what their scanners
 * add to contacts; its properties used here mean the same in 4.0 (RFC 6350). Lines are not folded: folding at 75 octets
 * is for mail, and each fold would cost two characters of the code.
 */
import type { ContactContent } from '../../gather/content/content.js';
import { escapeText, readLines, splitEscaped, unescapeText } from './content-line.js';
import { plainNumber } from '../../gather/content/phone-number.js';

/** A vCard 3.0 (RFC 2426), since more scanners know it than 4.0. Fields without a value are left out. */
export function vcardPayload(contact: ContactContent): string {
  const { givenName, familyName, organisation, phone, email, webPage } = contact;
  const line = (name: string, value: string): readonly string[] => (value === '' ? [] : [`${name}:${value}`]);
  return [
    'BEGIN:VCARD',
    'VERSION:3.0',
    `N:${escapeText(familyName)};${escapeText(givenName)};;;`,
    `FN:${escapeText(fullName(contact))}`,
    ...line('ORG', escapeText(organisation)),
    ...line('TEL', plainNumber(phone) ?? ''),
    ...line('EMAIL', escapeText(email)),
    ...line('URL', webPage),
    'END:VCARD',
  ].join('\r\n');
}

/** As people say it; the organisation where there is no name. */
export function fullName({
  givenName,
  familyName,
  organisation,
}: Pick<ContactContent, 'givenName' | 'familyName' | 'organisation'>): string {
  return [givenName, familyName].filter((part) => part !== '').join(' ') || organisation;
}

/** Null for what is no vCard. What it does not know is passed over. */
export function readVcard(payload: string): ContactContent | null {
  if (!/^BEGIN:VCARD\r?\n/i.test(payload)) return null;
  const values = new Map(readLines(payload));
  const [familyName = '', givenName = ''] = splitEscaped(values.get('N') ?? '', ';').map(unescapeText);
  const text = (name: string): string => unescapeText(values.get(name) ?? '');
  return {
    kind: 'contact',
    givenName,
    familyName,
    organisation: text('ORG'),
    phone: values.get('TEL') ?? '',
    email: text('EMAIL'),
    webPage: values.get('URL') ?? '',
  };
}
