/** What the code of a material says: its carry, and from that the payload, letter by letter. */
import { unreachable } from '../../platform/result.js';
import type { Content } from '../../gather/content/content.js';
import { geoPayload } from './geo.js';
import { mailtoPayload } from './mailto.js';
import { smsPayload, telPayload } from './telephone.js';
import { vcardPayload } from './vcard.js';
import { veventPayload } from './vevent.js';
import { wifiPayload } from './wifi.js';

/** What a code may carry. */
export const carries = ['link', 'trimmed', 'short-link', 'bare', 'words'] as const;
/** One of them. */
export type Carry = (typeof carries)[number];

/** What a code of an address may carry. */
export const addressCarries = ['link', 'trimmed', 'short-link', 'bare'] as const satisfies readonly Carry[];
/** What a code can carry of an address, by choice. */
export type AddressCarry = (typeof addressCarries)[number];

/** What a code carries, letter by letter. */
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
  /** What of an address is carried. */
  readonly carry: AddressCarry;
  /** The link without what only counts visitors, as it was when it was chosen; null where the whole link is carried. */
  readonly trimmedLink: string | null;
  /** The school's short link to it; null where none was made. */
  readonly shortAddress: string | null;
}

/**
 * A link, words or fields are carried exactly as they are unless something shorter was chosen: nothing stands between
 * the code and what was typed.
 * @param timeZone the school's, in which events have their wall times
 */
export function carriedBy(
  { link, words, content, pageAddress, carry, trimmedLink, shortAddress }: Carriable,
  timeZone: string,
): Carried {
  const address = link ?? pageAddress;
  if (address !== null && carry === 'short-link' && shortAddress !== null) return { carry, payload: shortAddress };
  if (address !== null) return carriedAddress(address, carry, trimmedLink);
  return { carry: 'words', payload: content === null ? (words ?? '') : contentPayload(content, timeZone) };
}

function carriedAddress(address: string, carry: AddressCarry, trimmedLink: string | null): Carried {
  const bare = carry === 'bare' ? bareAddress(trimmedLink ?? address) : null;
  if (bare !== null) return { carry: 'bare', payload: bare };
  return trimmedLink !== null && (carry === 'trimmed' || carry === 'bare')
    ? { carry: 'trimmed', payload: trimmedLink }
    : { carry: 'link', payload: address };
}

/** Scheme and all that a browser adds by itself; null for what would not lead to the same page without it. */
export function bareAddress(link: string): string | null {
  const rest = /^https:\/\/([^/?#@]+\.[^/?#@]+(?:[/?#].*)?)$/i.exec(link)?.[1] ?? null;
  return rest === null ? null : rest.replace(/^([^/?#]+)\/$/, '$1');
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
