/** What is missing or wrong in a kind's fields, field by field: the same answer in the form and on the server. */
import { unreachable } from '../../platform/result.js';
import { instantOf } from '../../platform/time/zoned.js';
import type { Content } from './content.js';
import { isWebAddress } from '../../platform/web-address.js';
import { plainNumber } from './phone-number.js';

/** What may be wrong with the fields of a kind. */
export const contentProblemReasons = [
  'needed',
  'no-email',
  'no-number',
  'no-web-address',
  'no-day',
  'ends-before-it-starts',
  'end-without-start',
  'out-of-range',
  'password-length',
] as const;
/** One of them. */
export type ContentProblemReason = (typeof contentProblemReasons)[number];

/** A field and what is wrong with it. */
export interface ContentProblem {
  readonly field: string;
  readonly reason: ContentProblemReason;
}

/** Empty when the fields make a payload that phones understand. */
export function contentProblems(content: Content): readonly ContentProblem[] {
  switch (content.kind) {
    case 'contact':
      return [
        ...unless(content.givenName + content.familyName + content.organisation !== '', 'givenName', 'needed'),
        ...unless(content.phone === '' || plainNumber(content.phone) !== null, 'phone', 'no-number'),
        ...unless(content.email === '' || isEmail(content.email), 'email', 'no-email'),
        ...unless(content.webPage === '' || isWebAddress(content.webPage), 'webPage', 'no-web-address'),
      ];
    case 'event':
      return [
        ...unless(content.title !== '', 'title', 'needed'),
        ...unless(isDay(content.date), 'date', 'no-day'),
        ...unless(content.endsAt === '' || content.startsAt !== '', 'startsAt', 'end-without-start'),
        ...unless(
          content.endsAt === '' || content.startsAt === '' || content.endsAt > content.startsAt,
          'endsAt',
          'ends-before-it-starts',
        ),
      ];
    case 'place':
      return [
        ...unless(content.name !== '', 'name', 'needed'),
        ...unless(Math.abs(content.latitude) <= 90, 'latitude', 'out-of-range'),
        ...unless(Math.abs(content.longitude) <= 180, 'longitude', 'out-of-range'),
      ];
    case 'e-mail':
      return unless(isEmail(content.address), 'address', 'no-email');
    case 'phone':
    case 'text-message':
      return unless(plainNumber(content.number) !== null, 'number', 'no-number');
    case 'network':
      return [
        ...unless(content.name !== '', 'name', 'needed'),
        ...unless(
          passwordFits(content.security, content.password),
          'password',
          content.password === '' ? 'needed' : 'password-length',
        ),
      ];
    default:
      return unreachable(content);
  }
}

function unless(fine: boolean, field: string, reason: ContentProblemReason): readonly ContentProblem[] {
  return fine ? [] : [{ field, reason }];
}

/** One `@` with something on both sides and a dot behind it: what can be said without sending a mail. */
function isEmail(text: string): boolean {
  return /^[^\s@<>]+@[^\s@<>]+\.[^\s@<>.]+$/.test(text);
}

function isDay(date: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(date)) return false;
  try {
    instantOf(date, '12:00', 'UTC');
    return true;
  } catch {
    return false;
  }
}

/** WPA takes 8 to 63 characters, or 64 hexadecimal digits (IEEE 802.11). */
function passwordFits(security: string, password: string): boolean {
  if (security === 'open') return true;
  if (security === 'WEP') return password !== '';
  return (password.length >= 8 && password.length <= 63) || /^[0-9a-fA-F]{64}$/.test(password);
}
