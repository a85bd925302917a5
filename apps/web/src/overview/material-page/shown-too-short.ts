import type { MaterialPage } from '@hapset/contract';
import { dayOf } from '../../platform/wording/figures.js';

/**
 * What a last day would mean, where students would find nothing; '' where it does no harm. Days are `YYYY-MM-DD`.
 * @param lessons that show it
 */
export function shownTooShort(until: string, lessons: MaterialPage['lessons'], today: string): string {
  if (until < today) return 'That day is over. Students can’t open it any more.';
  const [late] = lessons
    .flatMap(({ name, date }) => (date !== null && date > until ? [{ name, date }] : []))
    .sort((one, other) => one.date.localeCompare(other.date));
  return late ? `“${late.name}” is on ${dayOf(late.date)}. Students can’t open it then.` : '';
}
