/**
 * A phone number as `tel:` URI (RFC 3966) and a text message as `sms:` URI (RFC 5724). Visual separators are left out.
 * A number without country code is written without `phone-context`, as all phones expect it, though RFC 3966, 5.1.4
 * asks for one: within a school's country it dials the same.
 */
import type { PhoneContent, TextMessageContent } from '../../gather/content/content.js';
import { percentDecode, percentEncode } from './percent.js';
import { plainNumber } from '../../gather/content/phone-number.js';

export function telPayload({ number }: Pick<PhoneContent, 'number'>): string {
  return `tel:${plainNumber(number) ?? ''}`;
}

export function smsPayload({ number, text }: TextMessageContent): string {
  return `sms:${plainNumber(number) ?? ''}${text === '' ? '' : `?body=${percentEncode(text)}`}`;
}

export function readTel(payload: string): PhoneContent | null {
  const found = /^tel:(\+?\d+)$/i.exec(payload);
  return found ? { kind: 'phone', number: found[1] ?? '', name: '' } : null;
}

export function readSms(payload: string): TextMessageContent | null {
  const found = /^sms:(\+?\d+)(?:\?body=(.*))?$/is.exec(payload);
  return found ? { kind: 'text-message', number: found[1] ?? '', text: percentDecode(found[2] ?? '') } : null;
}
