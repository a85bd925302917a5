import type { ScannerAct } from '@hapset/core';
import { t } from './words.js';
import { namesListed } from './figures.js';

/** What a scanner that acts on it offers. */
export const actWords: Readonly<Record<ScannerAct, string>> = {
  link: t('scanners.opensLinks'),
  'bare-address': t('scanners.opensAddressesWithoutHttps'),
  contact: t('scanners.addsContacts'),
  event: t('scanners.addsEvents'),
  place: t('scanners.opensPlaces'),
  'e-mail': t('scanners.startsEMails'),
  phone: t('scanners.callsNumbers'),
  'text-message': t('scanners.startsTextMessages'),
  network: t('scanners.joinsNetworks'),
};

/** What the payload is to a scanner that does nothing with it. */
export const shownAsText: Readonly<Record<ScannerAct, string>> = {
  link: t('scanners.theAddressAsTextAnd'),
  'bare-address': t('scanners.itAsTextAndDont'),
  contact: t('scanners.aContactAsTextAnd'),
  event: t('scanners.anEventAsTextAnd'),
  place: t('scanners.aPlaceAsTextAnd'),
  'e-mail': t('scanners.theEMailAsText'),
  phone: t('scanners.theNumberAsTextAnd'),
  'text-message': t('scanners.theMessageAsTextAnd'),
  network: t('scanners.theNetworkAsTextAnd'),
};

/** "Small old phones and Clamshell laptops show an event as text and add nothing." */
export function ignoredSentence(act: ScannerAct, names: readonly string[]): string {
  return t('scanners.show', { devices: namesListed(names), shownAsText: shownAsText[act] });
}
