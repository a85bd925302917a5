/** Figures with their units, the same everywhere. */
import type { Grain } from '@hapset/core';
import { locale } from '../language/locale.js';
import { serverClock } from '../clock/server-clock.js';
import { t } from '../language/words.js';

export const grainWords: Readonly<Record<Grain, string>> = {
  coarse: t('figures.coarse'),
  medium: t('figures.medium'),
  fine: t('figures.fine'),
  'very-fine': t('figures.veryFine'),
};

const metresFormat = new Intl.NumberFormat(locale, {
  style: 'unit',
  unit: 'meter',
  minimumFractionDigits: 1,
  maximumFractionDigits: 1,
});

/** "2.6 m", always rounded down, so that no distance is promised that was not reached. */
export function metres(value: number): string {
  return metresFormat.format(Math.floor(value * 10 + 1e-9) / 10);
}

const tenthsFormat = new Intl.NumberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 });

/** "3.0", always with one digit after the point. */
export function tenths(value: number): string {
  return tenthsFormat.format(value);
}

const listFormat = new Intl.ListFormat(locale, { type: 'conjunction' });
const choiceFormat = new Intl.ListFormat(locale, { type: 'disjunction' });

/** "a", "a and b", "a, b and c". */
export function namesListed(names: readonly string[]): string {
  return listFormat.format(names);
}

/** "a", "a or b", "a, b or c". */
export function anyOf(names: readonly string[]): string {
  return choiceFormat.format(names);
}

const percentFormat = new Intl.NumberFormat(locale, { style: 'percent', maximumFractionDigits: 0 });

/** "54%", rounded down: no share is promised that is not there. */
export function percent(share: number): string {
  return percentFormat.format(Math.floor(share * 100 + 1e-9) / 100);
}

/** One digit after the point, and none where it would be a nought: "1.2", "200". */
const inUnit = (unit: 'kilobyte' | 'megabyte' | 'gigabyte'): Intl.NumberFormat =>
  new Intl.NumberFormat(locale, { style: 'unit', unit, maximumFractionDigits: 1, useGrouping: false });
const [kilobytes, megabytes, gigabytes] = [inUnit('kilobyte'), inUnit('megabyte'), inUnit('gigabyte')];

/** "4 kB", "1.2 MB", "200 MB", "3.4 GB"; a megabyte has 1,000,000 bytes. */
export function bytes(count: number): string {
  if (count < 999_500) return kilobytes.format(Math.max(count === 0 ? 0 : 1, Math.round(count / 1000)));
  return count < 999_950_000 ? megabytes.format(count / 1_000_000) : gigabytes.format(count / 1_000_000_000);
}

const relativeTime = new Intl.RelativeTimeFormat(locale, { numeric: 'always' });
const secondsOfUnit = [
  ['year', 31_536_000],
  ['month', 2_592_000],
  ['day', 86_400],
  ['hour', 3600],
  ['minute', 60],
] as const;

/** "4 minutes ago". @param nowMs since the epoch */
export function ago(time: string, nowMs = serverClock.now()): string {
  const seconds = (Date.parse(time) - nowMs) / 1000;
  if (Math.abs(seconds) < 20) return t('figures.justNow');
  // The largest unit of which there is at least one after rounding: 59.6 minutes are an hour.
  const [unit, length] = secondsOfUnit.find(([, size]) => Math.round(Math.abs(seconds) / size) >= 1) ?? ['second', 1];
  return relativeTime.format(Math.round(seconds / length), unit);
}

const isoDay = new Intl.DateTimeFormat('en-CA', { year: 'numeric', month: '2-digit', day: '2-digit' });

/** "2026-11-24", by this device's clock. */
export function dayHere(time: Date): string {
  return isoDay.format(time);
}

/** "24 November, 18:00", by this device's clock; with the year where it is another one. @param nowMs since the epoch */
export function dayAndTime(time: string, nowMs = serverClock.now()): string {
  const date = new Date(time);
  const thisYear = date.getFullYear() === new Date(nowMs).getFullYear();
  return new Intl.DateTimeFormat(locale, {
    day: 'numeric',
    month: 'long',
    ...(!thisYear && { year: 'numeric' }),
    hour: '2-digit',
    minute: '2-digit',
  })
    .format(date)
    .replace(' at ', ', ');
}

const hoursAndMinutes = new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit' });

/** "14:32", by this device's clock. @param timeMs milliseconds since 1970 */
export function timeOf(timeMs: number): string {
  return hoursAndMinutes.format(new Date(timeMs));
}

const wallTimeFormat = new Intl.DateTimeFormat(locale, { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });

/** "09:40" or "09:40 AM". @param time `HH:MM` on the school's clock */
function wallTime(time: string): string {
  return wallTimeFormat.format(new Date(`1970-01-01T${time}:00Z`));
}

const secondsFormat = new Intl.DateTimeFormat(locale, { timeStyle: 'medium' });

/** "14:32:07", by this device's clock. */
export function timeToTheSecond(time: string): string {
  return secondsFormat.format(new Date(time));
}

/** "Thursday 10 June, 09:40" for a day and wall time in the school's zone. */
export function lessonTime(date: string | null, startsAt: string | null): string {
  if (date === null) return t('figures.noDateYet');
  return startsAt === null ? dayOf(date) : `${dayOf(date)}, ${wallTime(startsAt)}`;
}

const longDay = new Intl.DateTimeFormat(locale, { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' });

/** "Thursday 10 June". @param date `YYYY-MM-DD` */
export function dayOf(date: string): string {
  return longDay.format(new Date(`${date}T00:00:00Z`));
}
