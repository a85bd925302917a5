/** What the code of a material says: its carry, and from that the payload, letter by letter. */
import { unreachable } from '../result.js';
import type { Content } from './content.js';
import { geoPayload } from './geo.js';
import { mailtoPayload } from './mailto.js';
import { smsPayload, telPayload } from './telephone.js';
import { vcardPayload } from './vcard.js';
import { veventPayload } from './vevent.js';
import { wifiPayload } from './wifi.js';

export const carries = ['link', 'words'] as const;
export type Carry = (typeof carries)[number];

export interface Carried {
  readonly carry: Carry;
  readonly payload: string;
}

/** What a material holds; exactly one of the four is not null. */
export interface Carriable {
  readonly link: string | null;
  readonly words: string | null;
  readonly content: Content | null;
  /** Address of its page, where the school's own server keeps it. */
  readonly pageAddress: string | null;
}

/**
 * A link, words or fields are carried exactly as they are: nothing stands between the code and what was typed.
 * @param timeZone the school's, in which events have their wall times
 */
export function carriedBy({ link, words, content, pageAddress }: Carriable, timeZone: string): Carried {
  const address = link ?? pageAddress;
  if (address !== null) return { carry: 'link', payload: address };
  return { carry: 'words', payload: content === null ? (words ?? '') : contentPayload(content, timeZone) };
}

/** The payload of a kind with fields, by its standard. */
export function contentPayload(content: Content, timeZone: string): string {
  switch (content.kind) {
    case 'contact':
      return vcardPayload(content);
    case 'event':
      return veventPayload(content, timeZone);
    case 'place':
      return geoPayload(content);
    case 'e-mail':
      return mailtoPayload(content);
    case 'phone':
      return telPayload(content);
    case 'text-message':
      return smsPayload(content);
    case 'network':
      return wifiPayload(content);
    default:
      return unreachable(content);
  }
}
