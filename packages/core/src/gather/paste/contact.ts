/** E-mail addresses and phone numbers in a pasted text. */
import type { EmailContent, PhoneContent, TextMessageContent } from '../content/content.js';
import { plainNumber } from '../content/phone-number.js';
import { readMailto, readSms, readTel } from '../content/contact-uri.js';
import { matchAt } from './match-at.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';
import { standingOfHost } from './web-host.js';

/** What is written or called instead of opened. */
export interface FoundContact {
  readonly kind: 'contact';
  readonly start: number;
  readonly end: number;
  readonly content: EmailContent | PhoneContent | TextMessageContent;
  /** `sure` by its own signs, `likely` where a number could be something else. */
  readonly evidence: 'sure' | 'likely';
  readonly label: string | null;
}

const address =
  /[\p{L}\p{N}](?:[\p{L}\p{M}\p{N}.!#$%&'*+/=?^_`{}~-]{0,62}[\p{L}\p{N}_+-])?@([\p{L}\p{N}][\p{L}\p{M}\p{N}.-]*[\p{L}\p{N}])/uy;
const uri = /(?:mailto|tel|sms):[^\s<>"“”]+/iy;
const international = /(?:\+|00(?=[1-9]))\d[\d\s().\-/\u2010\u2013]{5,22}\d/y;
const national =
  /(?:(?:\(0\d{1,5}\)|0\d{1,5}|\(\d{2,5}\))[\s.\-/\u2010\u2013]{1,2}\d[\d\s.\-/\u2010\u2013]{3,14}\d|\d{3}([-.])(?:\d{3}\1)?\d{4})(?![\d-])/y;
const dates = /^\d{1,2}([./-])\d{1,2}\1\d{2,4}$/;

/** An e-mail address or a `mailto:`, `tel:` or `sms:` URI at this place; null for none. */
export function contactAt(text: string, start: number, isListed: IsListedHost): FoundContact | null {
  const written = matchAt(uri, text, start)?.[0].replace(/[.,;:!?]+$/, '');
  const read = written === undefined ? null : (readMailto(written) ?? readTel(written) ?? readSms(written));
  if (written !== undefined && read && isWhole(read, isListed)) return sure(start, start + written.length, read);
  const found = matchAt(address, text, start);
  if (!found || standingOfHost(found[1] ?? '', isListed) !== 'known') return null;
  return sure(start, start + found[0].length, { kind: 'e-mail', address: found[0], subject: '', text: '' });
}

/** A phone number at this place; null for none. Dates and other figures are none. */
export function phoneAt(text: string, start: number): FoundContact | null {
  if (/[\d.,/:-]$/.test(text.slice(0, start))) return null;
  const far = matchAt(international, text, start)?.[0];
  if (far !== undefined && isNumber(far, 7)) return found(start, far, 'sure');
  const near = matchAt(national, text, start)?.[0];
  if (near === undefined || !isNumber(near, 7) || dates.test(near) || /\d/.test(text[start + near.length] ?? ''))
    return null;
  return found(start, near, near.startsWith('(') ? 'sure' : 'likely');
}

function found(start: number, number: string, evidence: FoundContact['evidence']): FoundContact {
  const content: PhoneContent = { kind: 'phone', number, name: '' };
  return { kind: 'contact', start, end: start + number.length, content, evidence, label: null };
}

function sure(start: number, end: number, content: FoundContact['content']): FoundContact {
  return { kind: 'contact', start, end, content, evidence: 'sure', label: null };
}

function isWhole(content: FoundContact['content'], isListed: IsListedHost): boolean {
  return content.kind !== 'e-mail' || standingOfHost(content.address.split('@')[1] ?? '', isListed) === 'known';
}

function isNumber(text: string, fewest: number): boolean {
  const digits = plainNumber(text)?.replace('+', '').length ?? 0;
  return digits >= fewest && digits <= 15;
}
