import type { ScannerAct } from '@hapset/core';

/** What a scanner that acts on it offers. */
export const actWords: Readonly<Record<ScannerAct, string>> = {
  link: 'opens links',
  'bare-address': 'opens addresses without https://',
  contact: 'adds contacts',
  event: 'adds events',
  place: 'opens places',
  'e-mail': 'begins mails',
  phone: 'calls numbers',
  'text-message': 'begins text messages',
  network: 'joins networks',
};

/** What the payload is to a scanner that does nothing with it. */
export const shownAsText: Readonly<Record<ScannerAct, string>> = {
  link: 'the address as text and open nothing',
  'bare-address': 'it as text and open nothing',
  contact: 'a contact as text and add nothing',
  event: 'an event as text and add nothing',
  place: 'a place as text and open no map',
  'e-mail': 'the mail as text and begin none',
  phone: 'the number as text and don’t call',
  'text-message': 'the message as text and send nothing',
  network: 'the network as text and don’t join it',
};

/** "Small old phones and Clamshell laptops show an event as text and add nothing." */
export function ignoredSentence(act: ScannerAct, names: readonly string[]): string {
  return `${namesListed(names)} show ${shownAsText[act]}.`;
}

/** "a", "a and b", "a, b and c". */
export function namesListed(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}
