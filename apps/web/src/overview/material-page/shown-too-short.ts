import type { MaterialPage } from '@hapset/contract';
import { dayOf } from '../../platform/wording/figures.js';
import { t } from '../words.js';

/**
 * What a last day would mean, where students would find nothing; '' where it does no harm. Days are `YYYY-MM-DD`.
 * @param lessons that show it
 */
export function shownTooShort(until: string, lessons: MaterialPage['lessons'], today: string): string {
  if (until < today) return t('shownTooShort.thatDayIsOverStudents');
  const [late] = lessons
    .flatMap(({ name, date }) => (date !== null && date > until ? [{ name, date }] : []))
    .sort((one, other) => one.date.localeCompare(other.date));
  return late ? t('shownTooShort.isOnStudentsCantOpen', { name: late.name, day: dayOf(late.date) }) : '';
}
