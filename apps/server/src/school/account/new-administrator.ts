/** An administrator's account from what was typed at the terminal. */
import { isEmail } from 'class-validator';
import type { DataSource } from 'typeorm';
import type { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { Account } from './account.entity.js';
import { hashPassword } from './password.js';

const leastPassword = 12;
const mostPassword = 200;

export interface NewAdministrator {
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

/** What has to be typed differently; null when all is well. */
export function troubleWith({ name, email, password }: NewAdministrator): string | null {
  if (name.trim() === '' || name.trim().length > 120) return 'The name needs 1 to 120 characters.';
  if (!isEmail(email.trim()) || email.trim().length > 190) return `"${email.trim()}" is not an e-mail address.`;
  if (password === '') return 'The two passwords differ, or there was none. Nothing was created.';
  if (password.length < leastPassword || password.length > mostPassword)
    return `The password needs ${leastPassword} to ${mostPassword} characters.`;
  return null;
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
  return (inserted.raw as { affectedRows?: number }).affectedRows === 1;
}
