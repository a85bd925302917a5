/** Who works here: administrators change roles, close accounts, and hand over what was somebody's. */
import { Injectable } from '@nestjs/common';
import type { ChangeStaff, HandedOver, StaffMember } from '@hapset/contract';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { AccountChanges } from '../account/account-changes.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Handover } from './handover.js';
import { StaffList } from './staff-list.js';

@Injectable()
export class StaffService {
  constructor(
    private readonly changes: AccountChanges,
    private readonly handover: Handover,
    private readonly list: StaffList,
  ) {}

  /** @throws ProblemError last-administrator, not-found */
  async change(who: SignedIn, accountId: string, { role, active }: ChangeStaff): Promise<StaffMember> {
    await this.changes.make(async (change) => {
      const account = await change.find(accountId);
      if (!account) throw notFound('account');
      const { name, deactivatedAt } = account;
      if (role !== undefined && role !== account.role) {
        await change.set(accountId, { role });
        await change.note(who, 'role-changed', `${name}: ${account.role} → ${role}`);
      }
      if (active !== undefined && active !== (deactivatedAt === null)) {
        await change.setUsed(accountId, active);
        await change.note(who, active ? 'account-activated' : 'account-deactivated', name);
      }
      await change.requireAdministrator();
    });
    return this.list.find(accountId);
  }

  /** @throws ProblemError not-found, invalid */
  async handOver(who: SignedIn, accountId: string, toAccountId: string): Promise<HandedOver> {
    return this.changes.make(async (change) => {
      const from = await change.find(accountId);
      const to = await change.findUsed(toAccountId);
      if (!from) throw notFound('account');
      if (!to || to.id === from.id)
        throw new ProblemError('invalid', 'It goes to a colleague whose account is used.', {
          fields: [{ field: 'toAccountId', message: 'no colleague whose account is used' }],
        });
      const given = await this.handover.give(from.id, to.id, change.manager);
      await change.note(who, 'handed-over', `${from.name} → ${to.name}`);
      return given;
    });
  }
}
