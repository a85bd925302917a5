import type { MaterialKind, Media } from '@hapset/core';

export const kindWords: Readonly<Record<MaterialKind, string>> = {
  form: 'Form',
  document: 'Document',
  folder: 'Folder',
  video: 'Film',
  audio: 'Sound',
  'web-page': 'Web page',
  message: 'Message',
  contact: 'Contact',
  event: 'Event',
  place: 'Place',
  'e-mail': 'E-mail',
  phone: 'Phone number',
  'text-message': 'Text message',
  network: 'Network',
  file: 'File',
  'picture-set': 'Pictures',
  'written-page': 'Written page',
};

/** What a kept file is. */
export const mediaWords: Readonly<Record<Media, string>> = {
  picture: 'Picture',
  sound: 'Sound',
  film: 'Film',
  pdf: 'PDF',
  office: 'Document',
  captions: 'Captions',
  other: 'File',
};
