/** What a code says, and what a phone would do with it; what a camera lacks. */
import type { Said, SaidKind, TextMark } from '@hapset/core';
import type { CameraTrouble } from '../camera/use-camera.js';

export const saidTitles: Readonly<Record<SaidKind, string>> = {
  link: 'A link',
  'bare-address': 'An address without its scheme',
  'other-address': 'An address that opens no page',
  contact: 'A contact',
  event: 'An event',
  place: 'A place',
  'e-mail': 'An e-mail',
  phone: 'A phone number',
  'text-message': 'A text message',
  network: 'A network',
  words: 'Words',
};

/** What a phone would do. */
export function saidSentence(said: Said): string {
  switch (said.kind) {
    case 'link':
      return `A phone opens a page at ${said.host}${said.secure ? '' : ', over plain http: whoever is on the way can read and change it'}.`;
    case 'bare-address':
      return `Some scanners open ${said.host} over plain http, others show the text and do nothing.`;
    case 'other-address':
      return `It begins with “${said.scheme}:”. What happens is up to an application on the phone; no page opens. Be careful with it.`;
    case 'contact':
      return 'A phone offers to keep the contact.';
    case 'event':
      return `A phone offers to put “${said.event.title}” into the calendar.`;
    case 'place':
      return 'A phone shows the place on a map.';
    case 'e-mail':
      return `A phone begins an e-mail to ${said.address}.`;
    case 'phone':
      return `A phone offers to call ${said.number}.`;
    case 'text-message':
      return `A phone begins a message to ${said.number}.`;
    case 'network':
      return `A phone offers to join the network “${said.name}”.`;
    case 'words':
      return 'A phone shows the words. Nothing opens.';
  }
}

export const textMarkWords: Readonly<Record<TextMark, string>> = {
  invisible: 'invisible character',
  'line-end': 'line end',
  'odd-blank': 'a blank that is none',
  'edge-blank': 'blank at the edge',
  'look-alike': 'letter of another script that looks alike',
};

export const cameraTroubleWords: Readonly<Record<CameraTrouble, string>> = {
  insecure:
    'Browsers lend the camera to secure addresses only, those that begin with https. Take a photo and choose it below instead.',
  refused:
    'The camera is not allowed for this page. Allow it in the browser’s settings of this page, or take a photo and choose it below.',
  none: 'No camera was found. Choose a picture of the code below.',
  busy: 'The camera gave no picture; another program may have it. Close that one and try again, or choose a picture below.',
};
