/**
 * What a code says, and so what a phone would do with it. The characters alone decide: what begins like a standard and can
 * be read by it is that kind; everything else is words. Addresses that would run something or hand data on are told apart
 * from those that open a page.
 */
import type {
  ContactContent,
  EmailContent,
  NetworkContent,
  PhoneContent,
  PlaceContent,
  TextMessageContent,
} from '../../gather/content/content.js';
import { readGeo } from '../../code/payload/geo.js';
import { readMailto, readSms, readTel } from '../../gather/content/contact-uri.js';
import { readVcard } from '../../code/payload/vcard.js';
import { readVevent, type ReadEvent } from '../../code/payload/vevent.js';
import { readWifi } from '../../code/payload/wifi.js';
import { parseUrl } from '../../platform/web-address.js';

/** What a code says, in parts. */
export type Said =
  | {
      readonly kind: 'link';
      readonly link: string;
      readonly host: string;
      /** False for http: whoever is on the way can read and change it. */ readonly secure: boolean;
    }
  /** An address without its scheme: some scanners open it, others show it. */
  | { readonly kind: 'bare-address'; readonly link: string; readonly host: string }
  /** Opens an application, or does what its scheme says; no page. */
  | { readonly kind: 'other-address'; readonly scheme: string }
  | ContactContent
  | PlaceContent
  | EmailContent
  | PhoneContent
  | TextMessageContent
  | NetworkContent
  | { readonly kind: 'event'; readonly event: ReadEvent }
  | { readonly kind: 'words' };

/** Kinds of what a code may say. */
export const saidKinds = [
  'link',
  'bare-address',
  'other-address',
  'contact',
  'event',
  'place',
  'e-mail',
  'phone',
  'text-message',
  'network',
  'words',
] as const satisfies readonly Said['kind'][];
/** One of them. */
export type SaidKind = (typeof saidKinds)[number];

/** What a code says: a link, fields of a kind, an address of another scheme, a bare address, or words. */
export function saidBy(text: string): Said {
  const trimmed = text.trim();
  return link(trimmed) ?? fields(trimmed) ?? otherAddress(trimmed) ?? bareAddress(trimmed) ?? { kind: 'words' };
}

function link(text: string): Said | null {
  if (!/^https?:\/\//i.test(text) || /\s/.test(text)) return null;
  const url = parseUrl(text);
  if (!url) return null;
  const { hostname, protocol } = url;
  return { kind: 'link', link: text, host: hostname, secure: protocol === 'https:' };
}

function fields(text: string): Said | null {
  const event = readVevent(text);
  if (event) return { kind: 'event', event };
  return readVcard(text) ?? readWifi(text) ?? readGeo(text) ?? readMailto(text) ?? readTel(text) ?? readSms(text);
}

/** A scheme (RFC 3986, 3.1) with something behind it that is no blank: "Remember: bread" is words. */
function otherAddress(text: string): Said | null {
  const scheme = /^([a-z][a-z0-9+.-]{1,30}):[^\s]+$/i.exec(text)?.[1]?.toLowerCase();
  return scheme === undefined ? null : { kind: 'other-address', scheme };
}

/** A host with a dot and a top level of letters, perhaps with a path: what scanners take for an address. */
function bareAddress(text: string): Said | null {
  if (!/^(?:[a-z0-9](?:[a-z0-9-]*[a-z0-9])?\.)+[a-z]{2,24}(?::\d{1,5})?(?:[/?#]\S*)?$/i.test(text)) return null;
  const address = `http://${text}`;
  const host = parseUrl(address)?.hostname;
  return host === undefined ? null : { kind: 'bare-address', link: address, host };
}
