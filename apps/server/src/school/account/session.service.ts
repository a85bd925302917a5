/** Sessions: opaque random tokens in cookies, stored hashed. */
import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, MoreThan, Not, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import type { AccountRecord } from './account-record.js';
import { Account } from './account.entity.js';
import { Session } from './session.entity.js';

const minuteMs = 60 * 1000;
const hourMs = 60 * minuteMs;
/** A session on a device that others use too. */
export const idleMs = 12 * hourMs;
/** With "Keep me signed in on this device". */
export const keptMs = 30 * 24 * hourMs;
/** How long a password that was given holds for what asks for it again. */
export const confirmedMs = 15 * minuteMs;
/** How exactly the last use is remembered; a write for each request would be too much. */
const seenEveryMs = 5 * minuteMs;

/** From where a session is begun. */
export interface SessionPlace {
  readonly keep: boolean;
  readonly address: string;
  readonly device: string;
}

@Injectable()
export class SessionService {
  constructor(
    @InjectRepository(Session) private readonly sessions: Repository<Session>,
    private readonly clock: Clock,
  ) {}

  /** @returns the token for the cookie. @param manager of the transaction in which the account was seen to be right */
  async begin(
    account: AccountRecord,
    { keep, address, device }: SessionPlace,
    manager: EntityManager,
  ): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const now = this.clock.now();
    await manager.insert(Session, {
      tokenHash: hashToken(token),
      id: newId(),
      accountId: account.id,
      kept: keep,
      addressHash: hashAddress(account.id, address),
      expiresAt: this.endOf(keep),
      begunAt: now,
      usedAt: now,
      confirmedAt: now,
      device,
    });
    await manager.update(Account, { id: account.id }, { lastSignInAt: now });
    return token;
  }

  /** Null for an unknown or ended session, and for a deactivated account. Using it extends the session. */
  async find(token: string): Promise<Session | null> {
    const tokenHash = hashToken(token);
    const session = await this.sessions.findOne({ where: this.alive({ tokenHash }), relations: { account: true } });
    if (!session) return null;
    const now = this.clock.now();
    if (now.getTime() - session.usedAt.getTime() > seenEveryMs)
      await this.sessions.update(
        { tokenHash },
        { usedAt: now, ...(!session.kept && { expiresAt: this.endOf(session.kept) }) },
      );
    return session;
  }

  /** Who is signed in with it; null as with `find`. */
  async accountOf(token: string): Promise<Account | null> {
    return (await this.find(token))?.account ?? null;
  }

  /** Whether the password was given lately. */
  isConfirmed({ confirmedAt }: Session): boolean {
    return confirmedAt !== null && this.clock.now().getTime() - confirmedAt.getTime() < confirmedMs;
  }

  async confirm(token: string): Promise<void> {
    await this.sessions.update({ tokenHash: hashToken(token) }, { confirmedAt: this.clock.now() });
  }

  /** Whether it goes on: for connections that stay open longer than a request. */
  async isAlive(token: string): Promise<boolean> {
    return this.sessions.exists({ where: this.alive({ tokenHash: hashToken(token) }) });
  }

  /** Whether somebody is signed in to that account from there. */
  async isKnownAt(accountId: string, address: string): Promise<boolean> {
    return this.sessions.existsBy({
      accountId,
      addressHash: hashAddress(accountId, address),
      expiresAt: MoreThan(this.clock.now()),
    });
  }

  /** Those that go on, the last used first. */
  async list(accountId: string): Promise<readonly Session[]> {
    return this.sessions.find({ where: this.alive({ accountId }), order: { usedAt: 'DESC', id: 'DESC' } });
  }

  async signOut(token: string): Promise<void> {
    await this.sessions.delete({ tokenHash: hashToken(token) });
  }

  async end(accountId: string, id: string): Promise<void> {
    await this.sessions.delete({ accountId, id });
  }

  /** All of an account, but for one. @param but its token; null for none */
  async endAll(accountId: string, but: string | null, manager: EntityManager): Promise<void> {
    await manager.delete(Session, { accountId, ...(but !== null && { tokenHash: Not(hashToken(but)) }) });
  }

  isOf(session: Session, token: string): boolean {
    return session.tokenHash === hashToken(token);
  }

  private alive(where: { readonly tokenHash: string } | { readonly accountId: string }) {
    return { ...where, expiresAt: MoreThan(this.clock.now()), account: { deactivatedAt: IsNull() } };
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
