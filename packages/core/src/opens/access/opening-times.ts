/** When a lesson's links are opened again by the clock: late enough to be true, early enough to fix. */
import { basicUtc, instantOf } from '../../platform/time/zoned.js';

/** When links of coming lessons are opened by themselves. */
export const openingTimeNames = ['evening-before', 'hour-before'] as const;
/** One of them. */
export type OpeningTime = (typeof openingTimeNames)[number];

/** Wall time in the school's zone: teachers are still at their desks, services are awake. */
const evening = '18:00';
const hourMs = 3600 * 1000;
/** A server that was asleep makes up for what it missed, but not for the day before yesterday. */
const latestMs = 14 * hourMs;

/** A time at which the links of a lesson are opened by themselves. */
export interface DueOpening {
  readonly time: OpeningTime;
  /** Milliseconds since 1970. */
  readonly at: number;
}

/**
 * Openings whose time has come and whose lesson has not begun. A lesson without a time of day begins at eight.
 * @param date `YYYY-MM-DD`
 * @param startsAt `HH:MM`
 * @param now milliseconds since 1970
 */
export function dueOpenings(
  date: string,
  startsAt: string | null,
  timeZone: string,
  now: number,
): readonly DueOpening[] {
  const begins = instantOf(date, startsAt ?? '08:00', timeZone);
  const all: readonly DueOpening[] = [
    { time: 'evening-before', at: instantOf(dayBefore(date), evening, timeZone) },
    { time: 'hour-before', at: begins - hourMs },
  ];
  return all.filter(({ at }) => at <= now && now < begins && now - at <= latestMs);
}

function dayBefore(date: string): string {
  return basicUtc(instantOf(date, '00:00', 'UTC') - 24 * hourMs).replace(/^(\d{4})(\d\d)(\d\d).*$/, '$1-$2-$3');
}
