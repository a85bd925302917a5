/** Signing in and out. A session is an opaque random token in a cookie, stored hashed. */
import { createHash, randomBytes } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, MoreThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { demoAccount } from './demo-account.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { Account } from './account.entity.js';
import { PasswordHasher } from './password-hasher.js';
import { Session } from './session.entity.js';
import { SignInGate } from './sign-in-gate.js';

const hourMs = 3600 * 1000;
/** A session on a device that others use too. */
export const idleMs = 12 * hourMs;
/** With "Keep me signed in on this device". */
export const keptMs = 30 * 24 * hourMs;
/** How exactly the last use is remembered; a write for each request would be too much. */
const seenEveryMs = 5 * 60 * 1000;

export interface SignInRequest {
  readonly email: string;
  readonly password: string;
  readonly keep: boolean;
  readonly address: string;
  readonly sharedAddress: boolean;
}

@Injectable()
export class SessionService {
  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    private readonly gate: SignInGate,
    private readonly hasher: PasswordHasher,
    private readonly clock: Clock,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  /** @throws ProblemError wrong-credentials, too-many-attempts, busy */
  async signIn({
    password,
    keep,
    sharedAddress,
    ...request
  }: SignInRequest): Promise<{ account: Account; token: string }> {
    const email = request.email.trim().toLowerCase();
    const account = await this.accounts.findOneBy({ email });
    const addressHash = account && hashAddress(account.id, request.address);
    const knownAddress =
      account !== null &&
      (await this.sessions.existsBy({
        accountId: account.id,
        addressHash: addressHash ?? '',
        expiresAt: MoreThan(this.clock.now()),
      }));
    const asked = { email, address: request.address, sharedAddress, knownAddress };
    await this.gate.enter(asked);
    // The demo's password is known to everybody: outside a demo it opens nothing.
    const mayMatch = this.configuration.demo || password !== demoAccount.password;
    const { matches, renewed } = await this.hasher.check(password, mayMatch ? (account?.passwordHash ?? null) : null);
    if (!account || !matches)
      throw new ProblemError('wrong-credentials', 'No account has this e-mail address and password.');
    await this.gate.passed(asked);
    if (renewed !== null)
      await this.accounts.update({ id: account.id, passwordHash: account.passwordHash }, { passwordHash: renewed });
    const token = randomBytes(32).toString('base64url');
    await this.sessions.insert({
      tokenHash: hashToken(token),
      accountId: account.id,
      kept: keep,
      addressHash,
      expiresAt: this.endOf(keep),
    });
    return { account, token };
  }

  /** Null for an unknown or ended session. Using it moves its end. */
  async accountOf(token: string): Promise<Account | null> {
    const tokenHash = hashToken(token);
    const session = await this.sessions.findOne({
      where: { tokenHash, expiresAt: MoreThan(this.clock.now()) },
      relations: { account: true },
    });
    if (!session) return null;
    const expiresAt = this.endOf(session.kept);
    if (!session.kept && expiresAt.getTime() - session.expiresAt.getTime() > seenEveryMs)
      await this.sessions.update({ tokenHash }, { expiresAt });
    return session.account;
  }

  /** Whether it goes on: for connections that stay open longer than a request. */
  async isAlive(token: string): Promise<boolean> {
    return this.sessions.existsBy({ tokenHash: hashToken(token), expiresAt: MoreThan(this.clock.now()) });
  }

  async hasAccounts(): Promise<boolean> {
    return this.accounts.existsBy({});
  }

  async signOut(token: string): Promise<void> {
    await this.sessions.delete({ tokenHash: hashToken(token) });
  }

  async deleteEnded(): Promise<void> {
    await this.sessions.delete({ expiresAt: LessThan(this.clock.now()) });
    await this.gate.tidy();
  }

  private endOf(kept: boolean): Date {
    return new Date(this.clock.now().getTime() + (kept ? keptMs : idleMs));
  }
}

function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Under the account's id, so that two accounts at one address can't be told from the table. */
function hashAddress(accountId: string, address: string): string {
  return createHash('sha256').update(`${accountId} ${address}`).digest('hex');
}
