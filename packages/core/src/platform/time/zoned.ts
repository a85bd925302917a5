/** Wall time in a zone -> the instant it means. Rules of the zone come from Intl; there is no clock here. */

/**
 * Milliseconds since 1970 UTC of a wall time. A time that a clock skips in spring means the instant an hour later on
 * that clock; one that it shows twice in autumn means the first (RFC 5545, 3.3.5).
 * @param date `YYYY-MM-DD`
 * @param time `HH:MM`
 * @throws RangeError for an unknown zone or a day that does not exist
 */
export function instantOf(date: string, time: string, timeZone: string): number {
  const [year = 0, month = 0, day = 0] = date.split('-').map(Number);
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  const wall = utc(year, month, day, hour, minute);
  if (
    Number.isNaN(wall) ||
    month < 1 ||
    month > 12 ||
    new Intl.DateTimeFormat('en', { timeZone: 'UTC', day: 'numeric' }).format(wall) !== String(day)
  )
    throw new RangeError(`no such day: ${date} ${time}`);
  // The offset before the change and the one after: the earlier instant that shows this wall time is the one meant.
  const candidates = [wall - offsetAt(wall - dayMs, timeZone), wall - offsetAt(wall + dayMs, timeZone)];
  const fitting = candidates.filter((instant) => instant + offsetAt(instant, timeZone) === wall);
  return fitting.length > 0 ? Math.min(...fitting) : (candidates[0] ?? wall);
}

const dayMs = 24 * 3600 * 1000;

/** What a clock in the zone is ahead of UTC at that instant, in milliseconds. */
function offsetAt(instant: number, timeZone: string): number {
  const parts = new Intl.DateTimeFormat('en-u-hc-h23', {
    timeZone,
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  }).formatToParts(instant);
  const value = (type: string): number => Number(parts.find((part) => part.type === type)?.value ?? 0);
  return (
    utc(value('year'), value('month'), value('day'), value('hour'), value('minute')) +
    value('second') * 1000 -
    Math.floor(instant / 1000) * 1000
  );
}

/** Days since 1970 of the proleptic Gregorian calendar, by the algorithm of counting years from March. */
function utc(year: number, month: number, day: number, hour: number, minute: number): number {
  const shifted = month <= 2 ? year - 1 : year;
  const era = Math.floor(shifted / 400);
  const yearOfEra = shifted - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return ((era * 146097 + dayOfEra - 719468) * 24 + hour) * 3_600_000 + minute * 60_000;
}

/** `YYYYMMDDTHHMMSSZ` of an instant (RFC 5545, 3.3.5, form 2). */
export function basicUtc(instant: number): string {
  const parts = new Intl.DateTimeFormat('en-u-hc-h23', {
    timeZone: 'UTC',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  }).formatToParts(instant);
  const value = (type: string): string => (parts.find((part) => part.type === type)?.value ?? '').padStart(2, '0');
  return `${value('year').padStart(4, '0')}${value('month')}${value('day')}T${value('hour')}${value('minute')}${value('second')}Z`;
}
