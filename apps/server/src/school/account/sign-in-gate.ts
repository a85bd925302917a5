/**
 * Decides whether a sign-in may be tried, and counts it as failed before the password is looked at: a thousand tries at
 * once are counted one after the other. A success takes its count back.
 */
import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, LessThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { ProblemError } from '../../platform/problem/problem.js';
import {
  accountRule,
  addressRule,
  forgottenAfterMs,
  pairRule,
  sharedAddressRule,
  waitS,
  type DelayRule,
} from './sign-in-delays.js';
import { SignInFailures } from './sign-in-failures.entity.js';

export interface SignInTry {
  readonly email: string;
  readonly address: string;
  /** The address is that of a proxy which nobody declared. */
  readonly sharedAddress: boolean;
  /** Somebody is signed in to this account from this address. */
  readonly knownAddress: boolean;
}

@Injectable()
export class SignInGate {
  constructor(
    @InjectRepository(SignInFailures) private readonly failures: Repository<SignInFailures>,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError too-many-attempts with the seconds to wait; that try is not counted */
  async enter(asked: SignInTry): Promise<void> {
    const rules = rulesOf(asked);
    const keys = [...rules.keys()].sort();
    const wait = await retryingDeadlocks(() =>
      this.failures.manager.transaction(async (manager) => {
        const now = this.clock.now();
        // Rows that don't exist can't be locked, so they are made first, and locked by that; always in one order.
        await manager.query(
          `INSERT INTO sign_in_failures (\`key\`, count, last_at) VALUES ${keys.map(() => '(?, 0, ?)').join(', ')} ON DUPLICATE KEY UPDATE count = count`,
          keys.flatMap((key) => [key, now]),
        );
        const rows = await manager
          .createQueryBuilder(SignInFailures, 'row')
          .where({ key: In(keys) })
          .orderBy('row.key')
          .setLock('pessimistic_write')
          .getMany();
        const { pair, address } = keysOf(asked);
        const forgotten = new Date(now.getTime() - forgottenAfterMs);
        // The first try of an account from there is always looked at: who fails on purpose beside a whole staff room slows down none of them.
        const isFirst = rows.some(({ key, count, lastAt }) => key === pair && (count === 0 || lastAt <= forgotten));
        const waits = rows
          .filter(({ key }) => !(isFirst && key === address))
          .map(({ key, count, lastAt }) =>
            waitS({ count, lastAtMs: lastAt.getTime() }, rules.get(key) ?? pairRule, now.getTime()),
          );
        const longest = Math.max(0, ...waits);
        if (longest > 0) return longest;
        await manager.query(
          `UPDATE sign_in_failures SET count = IF(last_at <= ?, 1, count + 1), last_at = ? WHERE \`key\` IN (${keys.map(() => '?').join(', ')})`,
          [forgotten, now, ...keys],
        );
        return 0;
      }),
    );
    if (wait > 0)
      throw new ProblemError('too-many-attempts', 'Too many sign-ins failed. Wait, then try again.', {
        retryAfterS: wait,
      });
  }

  /** Takes the count of a sign-in back that succeeded, and what this address failed at this account before. */
  async passed(asked: SignInTry): Promise<void> {
    const { pair, account, address } = keysOf(asked);
    await retryingDeadlocks(() => this.failures.delete({ key: pair }));
    await retryingDeadlocks(() =>
      this.failures.query('UPDATE sign_in_failures SET count = GREATEST(count - 1, 0) WHERE `key` IN (?, ?)', [
        account,
        address,
      ]),
    );
  }

  /** What is forgotten anyway. */
  async tidy(): Promise<number> {
    const before = new Date(this.clock.now().getTime() - forgottenAfterMs);
    return (await this.failures.delete({ lastAt: LessThan(before) })).affected ?? 0;
  }
}

function rulesOf(asked: SignInTry): ReadonlyMap<string, DelayRule> {
  const { pair, account, address } = keysOf(asked);
  const rules = new Map<string, DelayRule>([
    [pair, pairRule],
    [address, asked.sharedAddress ? sharedAddressRule : addressRule],
  ]);
  if (!asked.knownAddress) rules.set(account, accountRule);
  return rules;
}

function keysOf({ email, address }: SignInTry): {
  readonly pair: string;
  readonly account: string;
  readonly address: string;
} {
  const key = (...parts: readonly string[]): string => createHash('sha256').update(JSON.stringify(parts)).digest('hex');
  return { pair: key('pair', email, address), account: key('account', email), address: key('address', address) };
}
