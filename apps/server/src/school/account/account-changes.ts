/** Changes of accounts: one at a time over all servers, each with its entry in the activity log. */
import { Injectable } from '@nestjs/common';
import type { Activity } from '@hapset/contract';
import { DataSource, type EntityManager } from 'typeorm';
import { lockRow } from '../../platform/database/lock-row.js';
import { newId } from '../../platform/database/columns.js';
import { Clock } from '../../platform/clock/clock.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { ActivityService } from '../activity/activity.service.js';
import type { SignedIn } from '../rights/signed-in.js';
import type { AccountRecord } from './account-record.js';
import { Account } from './account.entity.js';
import { SessionService, type SessionPlace } from './session.service.js';

type NewAccount = Pick<AccountRecord, 'name' | 'email' | 'role' | 'passwordHash'>;

@Injectable()
export class AccountChanges {
  constructor(
    private readonly dataSource: DataSource,
    private readonly sessions: SessionService,
    private readonly activity: ActivityService,
    private readonly clock: Clock,
  ) {}

  /** All of it happens, or nothing. */
  async make<T>(work: (change: AccountChange) => Promise<T>): Promise<T> {
    return this.dataSource.transaction(async (manager) => {
      await lockRow(manager, 'accounts');
      return work(new AccountChange(manager, this.sessions, this.activity, this.clock));
    });
  }

  /** Null if there is no such account, or if it is deactivated. */
  async findUsed(id: string): Promise<AccountRecord | null> {
    const account = await this.dataSource.manager.findOneBy(Account, { id });
    return account?.deactivatedAt === null ? account : null;
  }

  async hasAdministrator(): Promise<boolean> {
    return hasAdministrator(this.dataSource.manager);
  }
}

/** What one transaction may do. */
export class AccountChange {
  constructor(
    readonly manager: EntityManager,
    private readonly sessions: SessionService,
    private readonly activity: ActivityService,
    private readonly clock: Clock,
  ) {}

  async find(id: string): Promise<AccountRecord | null> {
    return this.manager.findOneBy(Account, { id });
  }

  /** Null if there is no such account, or if it is deactivated. */
  async findUsed(id: string): Promise<AccountRecord | null> {
    const account = await this.find(id);
    return account?.deactivatedAt === null ? account : null;
  }

  /** @throws ProblemError invalid where another account has the address */
  async add(account: NewAccount): Promise<AccountRecord> {
    await this.requireFree(account.email, null);
    const id = newId();
    await this.manager.insert(Account, { ...account, id, createdAt: this.clock.now() });
    return this.manager.findOneByOrFail(Account, { id });
  }

  /** @throws ProblemError invalid where another account has the address */
  async set(id: string, fields: Partial<NewAccount>): Promise<void> {
    if (fields.email !== undefined) await this.requireFree(fields.email, id);
    await this.manager.update(Account, { id }, fields);
  }

  /** Deactivating an account ends its sessions at once. */
  async setUsed(id: string, used: boolean): Promise<void> {
    await this.manager.update(Account, { id }, { deactivatedAt: used ? null : this.clock.now() });
    if (!used) await this.endSessions(id, null);
  }

  /** @param but the token of one that goes on; null for none */
  async endSessions(id: string, but: string | null): Promise<void> {
    await this.sessions.endAll(id, but, this.manager);
  }

  /** @returns the token for the cookie */
  async signIn(account: AccountRecord, place: SessionPlace): Promise<string> {
    return this.sessions.begin(account, place, this.manager);
  }

  /** @throws ProblemError last-administrator */
  async requireAdministrator(): Promise<void> {
    if (!(await this.hasAdministrator()))
      throw new ProblemError('last-administrator', 'The school needs an administrator who can sign in.');
  }

  async hasAdministrator(): Promise<boolean> {
    return hasAdministrator(this.manager);
  }

  async note(who: SignedIn, activity: Activity, subject: string): Promise<void> {
    await this.activity.note(who, activity, subject, this.manager);
  }

  private async requireFree(email: string, but: string | null): Promise<void> {
    const other = await this.manager.findOneBy(Account, { email });
    if (!other || other.id === but) return;
    throw new ProblemError('invalid', 'There is an account with this e-mail address.', {
      fields: [{ field: 'email', message: 'there is an account with this address', detail: 'taken' }],
    });
  }
}

/** Whether there is one that can sign in. */
export async function hasAdministrator(manager: EntityManager): Promise<boolean> {
  const rows: unknown[] = await manager.query(
    "SELECT 1 FROM accounts WHERE role = 'administrator' AND deactivated_at IS NULL LIMIT 1",
  );
  return rows.length > 0;
}
