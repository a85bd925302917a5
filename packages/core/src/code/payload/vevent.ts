/**
 * An event as iCalendar (RFC 5545). Wall time in the school's zone is written as the instant it means, in UTC: a zone of
 * its own (VTIMEZONE) would be longer than the event. A day without times is written as a date. UID and DTSTAMP are
 * required there; both follow from the event itself, so that the same event is the same code.
 */
import { basicUtc, instantOf } from '../../platform/time/zoned.js';
import type { EventContent } from '../../gather/content/content.js';
import { escapeText, readLines, unescapeText } from './content-line.js';

/**
 * A calendar with one event (RFC 5545). Times are in UTC; an event without a time lasts its day.
 * @param timeZone in which the times were written, IANA
 */
export function veventPayload(event: EventContent, timeZone: string): string {
  const { title, date, startsAt, endsAt, place, about } = event;
  const start = startsAt === '' ? null : basicUtc(instantOf(date, startsAt, timeZone));
  const end = start === null || endsAt === '' ? null : basicUtc(instantOf(date, endsAt, timeZone));
  const stamp = start ?? `${date.replaceAll('-', '')}T000000Z`;
  const line = (name: string, value: string): readonly string[] =>
    value === '' ? [] : [`${name}:${escapeText(value)}`];
  return [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:Hapset',
    'BEGIN:VEVENT',
    `UID:${checksum(`${title} ${stamp} ${place}`)}`,
    `DTSTAMP:${stamp}`,
    start === null ? `DTSTART;VALUE=DATE:${date.replaceAll('-', '')}` : `DTSTART:${start}`,
    ...(end === null ? [] : [`DTEND:${end}`]),
    ...line('SUMMARY', title),
    ...line('LOCATION', place),
    ...line('DESCRIPTION', about),
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n');
}

/** What a reader of the code finds: instants, not wall times. */
export interface ReadEvent {
  readonly title: string;
  readonly start: string;
  readonly end: string;
  readonly place: string;
  readonly about: string;
}

/** Null for what holds no event. Times stay as they are written there. */
export function readVevent(payload: string): ReadEvent | null {
  if (!/BEGIN:VEVENT\r?\n/i.test(payload)) return null;
  const values = new Map(readLines(payload));
  const text = (name: string): string => unescapeText(values.get(name) ?? '');
  return {
    title: text('SUMMARY'),
    start: values.get('DTSTART') ?? '',
    end: values.get('DTEND') ?? '',
    place: text('LOCATION'),
    about: text('DESCRIPTION'),
  };
}

/** FNV-1a, 32 bits in base 36: short, and the same for the same event. */
function checksum(text: string): string {
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index += 1)
    hash = Math.imul(hash ^ text.charCodeAt(index), 0x01000193) >>> 0;
  return hash.toString(36);
}
