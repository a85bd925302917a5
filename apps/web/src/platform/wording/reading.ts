/** What a code says, and what a phone would do with it; what a camera lacks. */
import type { Said, SaidKind, TextMark } from '@hapset/core';
import type { CameraTrouble } from '../camera/use-camera.js';
import { t } from './words.js';

export const saidTitles: Readonly<Record<SaidKind, string>> = {
  link: t('reading.aLink'),
  'bare-address': t('reading.anAddressWithoutHttps'),
  'other-address': t('reading.anAddressThatOpensNo'),
  contact: t('reading.aContact'),
  event: t('reading.anEvent'),
  place: t('reading.aPlace'),
  'e-mail': t('reading.anEMail'),
  phone: t('reading.aPhoneNumber'),
  'text-message': t('reading.aTextMessage'),
  network: t('reading.aNetwork'),
  words: t('reading.words'),
};

/** What a phone would do. */
export function saidSentence(said: Said): string {
  switch (said.kind) {
    case 'link':
      return said.secure
        ? t('reading.aPhoneOpensAPage', { host: said.host })
        : t('reading.aPhoneOpensAPage2', { host: said.host });
    case 'bare-address':
      return t('reading.someScannersOpenOverPlain', { host: said.host });
    case 'other-address':
      return t('reading.itStartsWithAnApp', { scheme: said.scheme });
    case 'contact':
      return t('reading.aPhoneOffersToSave');
    case 'event':
      return t('reading.aPhoneOffersToAdd', { title: said.event.title });
    case 'place':
      return t('reading.aPhoneShowsThePlace');
    case 'e-mail':
      return t('reading.aPhoneStartsAnE', { address: said.address });
    case 'phone':
      return t('reading.aPhoneOffersToCall', { number: said.number });
    case 'text-message':
      return t('reading.aPhoneStartsAText', { number: said.number });
    case 'network':
      return t('reading.aPhoneOffersToJoin', { name: said.name });
    case 'words':
      return t('reading.aPhoneShowsTheWords');
  }
}

export const textMarkWords: Readonly<Record<TextMark, string>> = {
  invisible: t('reading.invisibleCharacter'),
  'line-end': t('reading.lineBreak'),
  'odd-blank': t('reading.aSpaceThatLooksNormal'),
  'edge-blank': t('reading.aSpaceAtTheStart'),
  'look-alike': t('reading.aLookalikeLetterOfAnother'),
};

export const cameraTroubleWords: Readonly<Record<CameraTrouble, string>> = {
  insecure: t('reading.browsersAllowTheCameraOnly'),
  refused: t('reading.thisPageMayNotUse'),
  none: t('reading.noCameraWasFoundChoose'),
  busy: t('reading.theCameraGaveNoPicture'),
};
