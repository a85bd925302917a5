/**
 * A phone number as `tel:` URI (RFC 3966) and a text message as `sms:` URI (RFC 5724). Visual separators are left out.
 * A number without country code is written without `phone-context`, as all phones expect it, though RFC 3966, 5.1.4
 * asks for one: within a school's country it dials the same.
 */
import type { PhoneContent, TextMessageContent } from '../../gather/content/content.js';
import { percentDecode, percentEncode } from './percent.js';
import { plainNumber } from '../../gather/content/phone-number.js';

/** `tel:` address (RFC 3966). Empty after the scheme for what is no number. */
export function telPayload({ number }: Pick<PhoneContent, 'number'>): string {
  return `tel:${plainNumber(number) ?? ''}`;
}

/** `sms:` address with its text, if any (RFC 5724). */
export function smsPayload({ number, text }: TextMessageContent): string {
  return `sms:${plainNumber(number) ?? ''}${text === '' ? '' : `?body=${percentEncode(text)}`}`;
}

/** Null for what is no `tel:` address with digits alone. */
export function readTel(payload: string): PhoneContent | null {
  const found = /^tel:(\+?\d+)$/i.exec(payload);
  return found ? { kind: 'phone', number: found[1] ?? '', name: '' } : null;
}

/** Null for what is no `sms:` address with digits alone. */
export function readSms(payload: string): TextMessageContent | null {
  const found = /^sms:(\+?\d+)(?:\?body=(.*))?$/is.exec(payload);
  return found ? { kind: 'text-message', number: found[1] ?? '', text: percentDecode(found[2] ?? '') } : null;
}
