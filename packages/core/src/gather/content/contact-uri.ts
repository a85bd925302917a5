/** Reads what others wrote: `mailto:` (RFC 6068), `tel:` (RFC 3966) and `sms:` URIs (RFC 5724). */
import { percentDecode } from '../../platform/percent.js';
import type { EmailContent, PhoneContent, TextMessageContent } from './content.js';

/** Null for what is no `mailto:` URI. */
export function readMailto(payload: string): EmailContent | null {
  const found = /^mailto:([^?]*)(?:\?(.*))?$/is.exec(payload);
  if (!found) return null;
  const fields = new Map(
    (found[2] ?? '')
      .split('&')
      .map((field) => [field.split('=')[0]?.toLowerCase() ?? '', percentDecode(field.slice(field.indexOf('=') + 1))]),
  );
  return {
    kind: 'e-mail',
    address: percentDecode(found[1] ?? ''),
    subject: fields.get('subject') ?? '',
    text: fields.get('body') ?? '',
  };
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
