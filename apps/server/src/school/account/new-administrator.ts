/** An administrator's account from what was typed at the terminal. */
import { limits, type PasswordTrouble } from '@hapset/contract';
import { isEmail } from 'class-validator';
import type { DataSource } from 'typeorm';
import type { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { Account } from './account.entity.js';
import { hashPassword } from './password.js';
import { troubleWithPassword } from './password-rules.js';
import { ActivityService } from '../activity/activity.service.js';

export interface NewAdministrator {
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

const passwordWords: Readonly<Record<PasswordTrouble, string>> = {
  'too-short': `The password needs at least ${limits.leastPassword} characters.`,
  'too-long': `The password needs at most ${limits.passwordLength} characters.`,
  common: 'Many people use this password. Choose another one.',
  personal: 'This password is easily guessed from the name or the address. Choose another one.',
};

/** What has to be typed differently; null when all is well. */
export function troubleWith({ name, email, password }: NewAdministrator): string | null {
  if (name.trim() === '' || name.trim().length > 120) return 'The name needs 1 to 120 characters.';
  if (!isEmail(email.trim()) || email.trim().length > 190) return `"${email.trim()}" is not an e-mail address.`;
  if (password === '') return 'The two passwords differ, or there was none. Nothing was created.';
  const trouble = troubleWithPassword(password, [name, email]);
  return trouble && passwordWords[trouble];
}

/** False where the address has an account already; that one is not touched. */
export async function createAdministrator(
  dataSource: DataSource,
  { name, email, password }: NewAdministrator,
  clock: Clock,
): Promise<boolean> {
  const passwordHash = await hashPassword(password);
  const row = {
    id: newId(),
    name: name.trim(),
    email: email.trim().toLowerCase(),
    role: 'administrator' as const,
    passwordHash,
    createdAt: clock.now(),
  };
  const inserted = await dataSource.createQueryBuilder().insert().into(Account).values(row).orIgnore().execute();
  if ((inserted.raw as { affectedRows?: number }).affectedRows !== 1) return false;
  await ActivityService.for(dataSource, clock).note(null, 'account-created', row.name);
  return true;
}
