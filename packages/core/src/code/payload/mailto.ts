/** An e-mail with subject and text as a `mailto:` URI (RFC 6068). */
import type { EmailContent } from '../../gather/content/content.js';
import { percentEncode } from '../../platform/percent.js';

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
