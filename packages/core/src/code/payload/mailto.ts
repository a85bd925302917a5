/** An e-mail with subject and text as a `mailto:` URI (RFC 6068). */
import type { EmailContent } from '../../gather/content/content.js';
import { percentDecode, percentEncode } from './percent.js';

// `@` and `+` may stand in the address as they are; everything else that is special is encoded (RFC 6068, 2).
const keptInAddress = '@+!$*';

/** `mailto:` address with subject and text, if any (RFC 6068). */
export function mailtoPayload({ address, subject, text }: EmailContent): string {
  const fields = [
    ['subject', subject],
    ['body', text],
  ].flatMap(([name = '', value = '']) => (value === '' ? [] : [`${name}=${percentEncode(value)}`]));
  return `mailto:${percentEncode(address, keptInAddress)}${fields.length > 0 ? `?${fields.join('&')}` : ''}`;
}

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
