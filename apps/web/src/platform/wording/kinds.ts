import type { MaterialKind, Media } from '@hapset/core';
import { t } from '../language/words.js';

export const kindWords: Readonly<Record<MaterialKind, string>> = {
  form: t('kinds.form'),
  document: t('kinds.document'),
  folder: t('kinds.folder'),
  video: t('kinds.film'),
  audio: t('kinds.sound'),
  'web-page': t('kinds.webPage'),
  message: t('kinds.message'),
  contact: t('kinds.contact'),
  event: t('kinds.event'),
  place: t('kinds.place'),
  'e-mail': t('kinds.eMail'),
  phone: t('kinds.phoneNumber'),
  'text-message': t('kinds.textMessage'),
  network: t('kinds.network'),
  file: t('kinds.file'),
  'picture-set': t('kinds.pictures'),
  'written-page': t('kinds.writtenPage'),
};

/** What a kept file is. */
export const mediaWords: Readonly<Record<Media, string>> = {
  picture: t('kinds.picture'),
  sound: t('kinds.sound'),
  film: t('kinds.film'),
  pdf: t('kinds.pDF'),
  office: t('kinds.document'),
  captions: t('kinds.captions'),
  other: t('kinds.file'),
};
