/** One-time links that administrators give to colleagues. */
import { Injectable } from '@nestjs/common';
import type { AccountLinkMade, Invite } from '@hapset/contract';
import { tidyText } from '../../platform/problem/is-text.js';
import { notFound } from '../../platform/problem/problem.js';
import { AccountChanges } from '../account/account-changes.js';
import { AccountLinks } from '../account-link/account-links.js';
import type { SignedIn } from '../rights/signed-in.js';
import { SchoolService } from '../settings/school.service.js';

@Injectable()
export class StaffLinks {
  constructor(
    private readonly changes: AccountChanges,
    private readonly links: AccountLinks,
    private readonly school: SchoolService,
  ) {}

  async invite(who: SignedIn, { role, ...request }: Invite): Promise<AccountLinkMade> {
    const note = tidyText(request.note);
    const { publicAddress } = await this.school.get();
    return this.changes.make(async (change) => {
      const made = await this.links.make({ kind: 'invitation', role, note }, publicAddress, change.manager);
      await change.note(who, 'invited', note === '' ? role : `${note} (${role})`);
      return made;
    });
  }

  /** What was used meanwhile stays as it is. */
  async revoke(who: SignedIn, invitationId: string): Promise<void> {
    await this.changes.make(async (change) => {
      const revoked = await this.links.revoke(invitationId, change.manager);
      if (revoked) await change.note(who, 'invitation-revoked', revoked.note);
    });
  }

  /** @throws ProblemError not-found */
  async makeReset(who: SignedIn, accountId: string): Promise<AccountLinkMade> {
    const { publicAddress } = await this.school.get();
    return this.changes.make(async (change) => {
      const account = await change.findUsed(accountId);
      if (!account) throw notFound('account');
      const made = await this.links.make({ kind: 'reset', accountId }, publicAddress, change.manager);
      await change.note(who, 'reset-link-made', account.name);
      return made;
    });
  }
}
