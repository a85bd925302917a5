/** Signing in and out. A session is an opaque random token in a cookie, stored hashed. */
import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, MoreThan, Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { ProblemError } from '../problem/problem.js';
import { Account } from './account.entity.js';
import { hashPassword, passwordMatches } from './password.js';
import { Session } from './session.entity.js';
import { SignInAttempt } from './sign-in-attempt.entity.js';

export const sessionDays = 30;
const attemptWindowMs = 15 * 60 * 1000;
/** Failures allowed within the window: for one account, and from one address (a staff room shares one). */
const attemptsPerEmail = 8;
const attemptsPerAddress = 60;

@Injectable()
export class SessionService {
  /** Compared against when there is no such account, so that the answer takes equally long. */
  private readonly nobody = hashPassword(randomBytes(16).toString('hex'));

  constructor(
    @InjectRepository(Account) private readonly accounts: Repository<Account>,
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    @InjectRepository(SignInAttempt) private readonly attempts: Repository<SignInAttempt>,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError wrong-credentials, too-many-attempts */
  async signIn(emailGiven: string, password: string, address: string): Promise<{ account: Account; token: string }> {
    const email = emailGiven.trim().toLowerCase();
    await this.refuseGuessing(email, address);
    const account = await this.accounts.findOneBy({ email });
    const matches = await passwordMatches(password, account?.passwordHash ?? (await this.nobody));
    if (!account || !matches) {
      await this.attempts.insert({ id: newId(), email, address, at: this.clock.now() });
      throw new ProblemError('wrong-credentials', 'No account has this e-mail address and password.');
    }
    await this.attempts.delete({ email });
    const token = randomBytes(32).toString('base64url');
    const expiresAt = new Date(this.clock.now().getTime() + sessionDays * 24 * 3600 * 1000);
    await this.sessions.insert({ tokenHash: hashToken(token), accountId: account.id, expiresAt });
    return { account, token };
  }

  /** Null for an unknown or ended session. */
  async accountOf(token: string): Promise<Account | null> {
    const session = await this.sessions.findOne({ where: { tokenHash: hashToken(token), expiresAt: MoreThan(this.clock.now()) }, relations: { account: true } });
    return session?.account ?? null;
  }

  async signOut(token: string): Promise<void> {
    await this.sessions.delete({ tokenHash: hashToken(token) });
    await this.sessions.delete({ expiresAt: LessThan(this.clock.now()) });
  }

  private async refuseGuessing(email: string, address: string): Promise<void> {
    const since = new Date(this.clock.now().getTime() - attemptWindowMs);
    await this.attempts.delete({ at: LessThan(since) });
    const [forEmail, fromAddress] = await Promise.all([
      this.attempts.countBy({ email, at: MoreThan(since) }),
      this.attempts.countBy({ address, at: MoreThan(since) }),
    ]);
    if (forEmail < attemptsPerEmail && fromAddress < attemptsPerAddress) return;
    throw new ProblemError('too-many-attempts', 'Too many sign-ins failed. Wait a quarter of an hour.', { retryAfterS: attemptWindowMs / 1000 });
  }
}

function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
