/**
 * A phone number as `tel:` URI (RFC 3966) and a text message as `sms:` URI (RFC 5724). Visual separators are left out.
 * A number without country code is written without `phone-context`, as all phones expect it, though RFC 3966, 5.1.4
 * asks for one: within a school's country it dials the same.
 */
import type { PhoneContent, TextMessageContent } from '../../gather/content/content.js';
import { percentEncode } from '../../platform/percent.js';
import { plainNumber } from '../../gather/content/phone-number.js';

/** `tel:` address (RFC 3966). Empty after the scheme for what is no number. */
export function telPayload({ number }: Pick<PhoneContent, 'number'>): string {
  return `tel:${plainNumber(number) ?? ''}`;
}

/** `sms:` address with its text, if any (RFC 5724). */
export function smsPayload({ number, text }: TextMessageContent): string {
  return `sms:${plainNumber(number) ?? ''}${text === '' ? '' : `?body=${percentEncode(text)}`}`;
}
