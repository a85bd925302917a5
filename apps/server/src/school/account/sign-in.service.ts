/** Signing in with a password, and giving it again. */
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { Account } from './account.entity.js';
import { demoAccount } from './demo-account.js';
import { PasswordHasher } from './password-hasher.js';
import { SessionService, type SessionPlace } from './session.service.js';
import { SignInGate } from './sign-in-gate.js';

/** From where a password is given. */
export interface PasswordPlace {
  readonly address: string;
  readonly sharedAddress: boolean;
}

export interface SignInRequest extends SessionPlace, PasswordPlace {
  readonly email: string;
  readonly password: string;
}

const wrong = (): ProblemError =>
  new ProblemError('wrong-credentials', 'No account has this e-mail address and password.');

@Injectable()
export class SignInService {
  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    private readonly sessions: SessionService,
    private readonly gate: SignInGate,
    private readonly hasher: PasswordHasher,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  /** @throws ProblemError wrong-credentials, account-deactivated, too-many-attempts, busy */
  async signIn({ email, password, ...place }: SignInRequest): Promise<{ account: Account; token: string }> {
    const { account, renewed } = await this.checked(email.trim().toLowerCase(), password, place);
    if (account.deactivatedAt !== null) throw new ProblemError('account-deactivated', 'This account is deactivated.');
    return this.accounts.manager.transaction(async (manager) => {
      // What changed while the password was looked at, a new password or the account's end, holds.
      const now = await manager.findOne(Account, {
        where: { id: account.id, passwordHash: account.passwordHash },
        lock: { mode: 'pessimistic_write' },
      });
      if (!now || now.deactivatedAt !== null) throw wrong();
      if (renewed !== null) await manager.update(Account, { id: now.id }, { passwordHash: renewed });
      return { account: now, token: await this.sessions.begin(now, place, manager) };
    });
  }

  /** Tries are counted as those of signing in. @throws ProblemError wrong-credentials, too-many-attempts, busy */
  async check(account: Pick<Account, 'email'>, password: string, place: PasswordPlace): Promise<void> {
    await this.checked(account.email, password, place);
  }

  async hasAccounts(): Promise<boolean> {
    return this.accounts.existsBy({});
  }

  /** Forgets failed tries that are long ago. @returns how many */
  tidy(): Promise<number> {
    return this.gate.tidy();
  }

  private async checked(
    email: string,
    password: string,
    { address, sharedAddress }: PasswordPlace,
  ): Promise<{ readonly account: Account; readonly renewed: string | null }> {
    const account = await this.accounts.findOneBy({ email });
    const knownAddress = account !== null && (await this.sessions.isKnownAt(account.id, address));
    const asked = { email, address, sharedAddress, knownAddress };
    await this.gate.enter(asked);
    // The demo's password is known to everybody: outside a demo it opens nothing.
    const mayMatch = this.configuration.demo || password !== demoAccount.password;
    const { matches, renewed } = await this.hasher.check(password, mayMatch ? (account?.passwordHash ?? null) : null);
    if (!account || !matches) throw wrong();
    await this.gate.passed(asked);
    return { account, renewed };
  }
}
