/** What all staff may change in their own account. */
import { Injectable } from '@nestjs/common';
import type { OwnAccount } from '@hapset/contract';
import { ProblemError } from '../../platform/problem/problem.js';
import { AccountChanges } from '../account/account-changes.js';
import { NewPassword } from '../account/new-password.js';
import { SessionService } from '../account/session.service.js';
import { SignInService, type PasswordPlace } from '../account/sign-in.service.js';
import type { SignedIn } from '../rights/signed-in.js';

@Injectable()
export class OwnAccountService {
  constructor(
    private readonly changes: AccountChanges,
    private readonly sessions: SessionService,
    private readonly signIns: SignInService,
    private readonly passwords: NewPassword,
  ) {}

  /** @param token of the session that asks */
  async view({ id, name, email, role }: SignedIn, token: string): Promise<OwnAccount> {
    const sessions = await this.sessions.list(id);
    return {
      name,
      email,
      role,
      sessions: sessions.map((session) => ({
        id: session.id,
        device: session.device,
        begunAt: session.begunAt.toISOString(),
        usedAt: session.usedAt.toISOString(),
        current: this.sessions.isOf(session, token),
        kept: session.kept,
      })),
    };
  }

  async changeName(who: SignedIn, name: string): Promise<SignedIn> {
    await this.changes.make((change) => change.set(who.id, { name }));
    return { ...who, name };
  }

  /** @throws ProblemError invalid where another account has it */
  async changeEmail(who: SignedIn, address: string): Promise<SignedIn> {
    const email = address.toLowerCase();
    await this.changes.make(async (change) => {
      await change.set(who.id, { email });
      await change.note(who, 'email-changed', who.name);
    });
    return { ...who, email };
  }

  /**
   * Ends all other sessions.
   * @param token of the session that goes on
   * @throws ProblemError invalid, too-many-attempts, busy
   */
  async setPassword(
    who: SignedIn,
    { current, password }: { readonly current: string; readonly password: string },
    { token, ...place }: PasswordPlace & { readonly token: string },
  ): Promise<void> {
    await this.checkCurrent(who, current, place);
    const passwordHash = await this.passwords.hash(password, [who.name, who.email]);
    await this.changes.make(async (change) => {
      await change.set(who.id, { passwordHash });
      await change.endSessions(who.id, token);
      await change.note(who, 'password-changed', who.name);
    });
    await this.sessions.confirm(token);
  }

  private async checkCurrent(who: SignedIn, current: string, place: PasswordPlace): Promise<void> {
    try {
      await this.signIns.check(who, current, place);
    } catch (error) {
      if (!(error instanceof ProblemError) || error.reason !== 'wrong-credentials') throw error;
      throw new ProblemError('invalid', 'This is not the present password.', {
        fields: [{ field: 'current', message: 'this is not the present password' }],
      });
    }
  }
}
