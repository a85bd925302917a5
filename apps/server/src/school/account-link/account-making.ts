/** What one-time links do: they make an account, or set a new password. The person is signed in afterwards. */
import { Injectable } from '@nestjs/common';
import type { AccountLinkView, CreateAccount, ResetPassword } from '@hapset/contract';
import { AccountChanges } from '../account/account-changes.js';
import type { AccountRecord } from '../account/account-record.js';
import { NewPassword } from '../account/new-password.js';
import type { SessionPlace } from '../account/session.service.js';
import { SchoolService } from '../settings/school.service.js';
import { AccountLinks, linkOver } from './account-links.js';

interface Entered {
  readonly account: AccountRecord;
  readonly token: string;
}

@Injectable()
export class AccountMaking {
  constructor(
    private readonly changes: AccountChanges,
    private readonly links: AccountLinks,
    private readonly passwords: NewPassword,
    private readonly school: SchoolService,
  ) {}

  /** @throws ProblemError link-over */
  async look(token: string): Promise<AccountLinkView> {
    const { kind, role, accountId, expiresAt } = await this.links.find(token);
    if (kind === 'setup' && (await this.changes.hasAdministrator())) throw linkOver();
    const account = accountId === null ? null : await this.changes.findUsed(accountId);
    if (accountId !== null && !account) throw linkOver();
    const { name } = await this.school.get();
    return { kind, schoolName: name, role, email: account?.email ?? null, expiresAt: expiresAt.toISOString() };
  }

  /** @throws ProblemError link-over, invalid, busy */
  async create({ token, name, password, school, ...request }: CreateAccount, place: SessionPlace): Promise<Entered> {
    const email = request.email.toLowerCase();
    const { kind } = await this.links.find(token);
    if ((kind === 'setup') !== (school !== null)) throw linkOver();
    const passwordHash = await this.passwords.hash(password, [name, email, school?.name ?? '']);
    return this.changes.make(async (change) => {
      const link = await this.links.take(token, kind, change.manager);
      if (kind === 'setup' && (await change.hasAdministrator())) throw linkOver();
      const account = await change.add({ name, email, role: link.role ?? 'teacher', passwordHash });
      if (school !== null) await this.school.setUp(school, change.manager);
      await change.note(account, kind === 'setup' ? 'school-set-up' : 'account-created', name);
      return { account, token: await change.signIn(account, place) };
    });
  }

  /** All sessions of the account end. @throws ProblemError link-over, invalid, busy */
  async reset({ token, password }: ResetPassword, place: SessionPlace): Promise<Entered> {
    const { accountId } = await this.links.find(token);
    const found = accountId === null ? null : await this.changes.findUsed(accountId);
    if (!found) throw linkOver();
    const passwordHash = await this.passwords.hash(password, [found.name, found.email]);
    return this.changes.make(async (change) => {
      await this.links.take(token, 'reset', change.manager);
      const account = await change.findUsed(found.id);
      if (!account) throw linkOver();
      await change.set(account.id, { passwordHash });
      await change.endSessions(account.id, null);
      await change.note(account, 'password-reset', account.name);
      return { account, token: await change.signIn(account, place) };
    });
  }
}
