/** When a short link leads on: between two moments, and within hours of the week, by the school's clock. */
import { instantOf } from '../../platform/time/zoned.js';

/** Hours on days of the week; several may overlap. */
export interface OpenHours {
  /** 1 Monday to 7 Sunday (ISO 8601). */
  readonly days: readonly number[];
  /** Wall times `HH:MM`; `until` is not part of it and comes after `from`. */
  readonly from: string;
  readonly until: string;
}

/** When a short link leads on: from and until by the school's clock, and hours of the week. */
export interface Opening {
  /** Wall times `YYYY-MM-DDTHH:MM`; null without begin or end. */
  readonly from: string | null;
  readonly until: string | null;
  /** Empty: at any hour. */
  readonly hours: readonly OpenHours[];
}

/** Neither days nor hours close it. */
export const alwaysOpen: Opening = { from: null, until: null, hours: [] };

/** Whether neither days nor hours close it. */
export function isAlwaysOpen({ from, until, hours }: Opening): boolean {
  return from === null && until === null && hours.length === 0;
}

/** Why hours can't be kept. */
export const openingProblems = ['no-such-time', 'until-before-from', 'no-day', 'too-many-hours'] as const;
/** One of them. */
export type OpeningProblem = (typeof openingProblems)[number];
const mostHours = 14;

/** Null where nothing is wrong. */
export function openingProblem({ from, until, hours }: Opening): OpeningProblem | null {
  if ([from, until].some((moment) => moment !== null && !isMoment(moment))) return 'no-such-time';
  if (from !== null && until !== null && until <= from) return 'until-before-from';
  if (hours.length > mostHours) return 'too-many-hours';
  for (const { days, from: begin, until: end } of hours) {
    if (!isTime(begin) || !isTime(end)) return 'no-such-time';
    if (end <= begin) return 'until-before-from';
    if (days.length === 0 || days.some((day) => !Number.isInteger(day) || day < 1 || day > 7)) return 'no-day';
  }
  return null;
}

/** Whether it leads on, and when it does otherwise. */
export type OpenState =
  { readonly open: true } | { readonly open: false; readonly reason: 'not-yet' | 'over' | 'other-hours' };

/** @param instant milliseconds since 1970 */
export function openStateAt({ from, until, hours }: Opening, instant: number, timeZone: string): OpenState {
  if (from !== null && instant < momentOf(from, timeZone)) return { open: false, reason: 'not-yet' };
  if (until !== null && instant >= momentOf(until, timeZone)) return { open: false, reason: 'over' };
  if (hours.length === 0) return { open: true };
  const { day, time } = wallAt(instant, timeZone);
  const within = hours.some((each) => each.days.includes(day) && time >= each.from && time < each.until);
  return within ? { open: true } : { open: false, reason: 'other-hours' };
}

const weekdays: Readonly<Record<string, number>> = { Mon: 1, Tue: 2, Wed: 3, Thu: 4, Fri: 5, Sat: 6, Sun: 7 };

function wallAt(instant: number, timeZone: string): { readonly day: number; readonly time: string } {
  const parts = new Intl.DateTimeFormat('en-u-hc-h23', {
    timeZone,
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).formatToParts(instant);
  const value = (type: string): string => parts.find((part) => part.type === type)?.value ?? '';
  return {
    day: weekdays[value('weekday')] ?? 0,
    time: `${value('hour').padStart(2, '0')}:${value('minute').padStart(2, '0')}`,
  };
}

function momentOf(moment: string, timeZone: string): number {
  return instantOf(moment.slice(0, 10), moment.slice(11), timeZone);
}

function isTime(time: string): boolean {
  return /^([01]\d|2[0-3]):[0-5]\d$/.test(time);
}

function isMoment(moment: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}T/.test(moment) || !isTime(moment.slice(11))) return false;
  try {
    return !Number.isNaN(momentOf(moment, 'UTC'));
  } catch {
    return false;
  }
}
