/**
 * A network in the form that phones' scanners agree on, `WIFI:T:...;S:...;P:...;H:...;;`. There is no standard; `\`, `;`,
 * `,`, `:` and `"` are escaped by a backslash, as the scanners' documentation has it.
 */
import type { NetworkContent } from '../../gather/content/content.js';
import { splitEscaped } from './content-line.js';

/** `WIFI:T:WPA;S:name;P:password;;`, as scanners read it; there is no standard of it. */
export function wifiPayload({ name, security, password, hidden }: NetworkContent): string {
  const parts = [`T:${security === 'open' ? 'nopass' : security}`, `S:${escape(name)}`];
  if (security !== 'open') parts.push(`P:${escape(password)}`);
  if (hidden) parts.push('H:true');
  return `WIFI:${parts.join(';')};;`;
}

/** Null for what is no network. */
export function readWifi(payload: string): NetworkContent | null {
  if (!/^WIFI:/i.test(payload)) return null;
  const values = new Map(
    splitEscaped(payload.slice(5), ';').map((part) => [
      part.slice(0, part.indexOf(':')).toUpperCase(),
      unescape(part.slice(part.indexOf(':') + 1)),
    ]),
  );
  const type = values.get('T') ?? 'nopass';
  const security = type === 'WPA' || type === 'WEP' ? type : 'open';
  return {
    kind: 'network',
    name: values.get('S') ?? '',
    security,
    password: values.get('P') ?? '',
    hidden: values.get('H') === 'true',
  };
}

function escape(text: string): string {
  return text.replace(/[\\;,:"]/g, '\\$&');
}

function unescape(text: string): string {
  return text.replace(/\\(.)/gs, '$1');
}
