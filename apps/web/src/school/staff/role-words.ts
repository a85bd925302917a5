import type { PasswordTrouble, Role } from '@hapset/contract';
import type { ApiError } from '../../platform/api/problem-error.js';
import { t } from './words.js';

export const roleWords: Readonly<Record<Role, string>> = {
  teacher: t('roles.teacher'),
  office: t('roles.office'),
  administrator: t('roles.administrator'),
};
/** What somebody in that role may do. */
export const roleHints: Readonly<Record<Role, string>> = {
  teacher: t('roles.teacherHint'),
  office: t('roles.officeHint'),
  administrator: t('roles.administratorHint'),
};

const passwordWords: Readonly<Record<PasswordTrouble, string>> = {
  'too-short': t('password.tooShort'),
  'too-long': t('password.tooLong'),
  common: t('password.common'),
  personal: t('password.personal'),
};

/** What is wrong with the fields of an account's form, by their names. */
export function accountProblems(error: ApiError | null): ReadonlyMap<string, string> {
  return new Map((error?.fields ?? []).map(({ field, detail = '' }) => [field, fieldWords(field, detail)] as const));
}

function fieldWords(field: string, detail: string): string {
  if (field === 'password') return passwordWords[detail as PasswordTrouble] ?? t('password.tooShort');
  if (field === 'email') return detail === 'taken' ? t('account.emailTaken') : t('account.emailWrong');
  if (field === 'current') return t('account.currentWrong');
  if (field === 'school.timeZone') return t('account.timeZoneWrong');
  return t('account.nameNeeded');
}
