/**
 * Changes are done once, however often they are sent: a page that lost the reply sends the change again with the same
 * key and gets the reply of the first time (draft-ietf-httpapi-idempotency-key-header). One that failed is done again.
 * What a server began and did not end, because it was killed, is begun again after a minute.
 */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { ProblemError } from '../../platform/problem/problem.js';
import { AnsweredRequest } from './answered-request.entity.js';

/** Longer replies are not kept: the change is done again. */
const replyCharacters = 60_000;
const renewEveryMs = 20_000;
/** After so long without renewal, its server is gone. */
const abandonedS = 60;
const daysKept = 1;

export interface KeyedRequest {
  readonly accountId: string;
  /** UUID. */
  readonly key: string;
  readonly fingerprint: string;
}

/** What is known of it: nothing yet, so it is the caller's to do, or its reply as JSON. */
type Begun = { readonly reply: string } | null;

interface Row {
  readonly fingerprint: string;
  readonly reply: string | null;
  readonly answered: number;
  readonly heldForS: number;
  readonly heldAt: string;
}

@Injectable()
export class AnsweredRequests {
  /** For the first one to end, while a second one waits. Tests wait for less. */
  patience = { everyMs: 200, times: 75 };

  constructor(@InjectRepository(AnsweredRequest) private readonly rows: Repository<AnsweredRequest>) {}

  /** Does the work unless it is done already. @throws ProblemError invalid, unavailable, and what the work throws */
  async once(request: KeyedRequest, work: () => Promise<unknown>): Promise<unknown> {
    const begun = await this.begin(request);
    if (begun) return JSON.parse(begun.reply) as unknown;
    const renewing = setInterval(() => void this.renew(request).catch(() => undefined), renewEveryMs);
    try {
      const reply = await work();
      // The change is done; a reply that can't be kept is no reason to say it is not.
      await this.keep(request, JSON.stringify(reply ?? null)).catch(() => undefined);
      return reply;
    } catch (error) {
      await this.rows.delete(idOf(request)).catch(() => undefined);
      throw error;
    } finally {
      clearInterval(renewing);
    }
  }

  /** What was answered long ago, or never. */
  async deleteOld(): Promise<void> {
    await this.rows.query('DELETE FROM answered_requests WHERE held_at < NOW(3) - INTERVAL ? DAY', [daysKept]);
  }

  private async begin(request: KeyedRequest): Promise<Begun> {
    for (let look = 0; look < this.patience.times; look += 1) {
      if (await this.insert(request)) return null;
      const row = await this.find(request);
      if (row && row.fingerprint !== request.fingerprint)
        throw new ProblemError('invalid', 'This Idempotency-Key was sent with another request before.');
      if (row?.answered === 1) return { reply: row.reply ?? 'null' };
      if (row && row.heldForS >= abandonedS && (await this.takeOver(request, row.heldAt))) return null;
      await new Promise((resolve) => setTimeout(resolve, this.patience.everyMs));
    }
    throw new ProblemError('unavailable', 'The same request is still being worked on.');
  }

  private async insert({ accountId, key, fingerprint }: KeyedRequest): Promise<boolean> {
    const { affectedRows } = (await this.rows.query(
      'INSERT IGNORE INTO answered_requests (account_id, request_key, fingerprint, held_at) VALUES (?, ?, ?, NOW(3))',
      [accountId, key, fingerprint],
    )) as Changed;
    return affectedRows === 1;
  }

  private async find({ accountId, key }: KeyedRequest): Promise<Row | undefined> {
    const [row] = (await this.rows.query(
      `SELECT fingerprint, reply, answered_at IS NOT NULL AS answered, CAST(held_at AS CHAR) AS heldAt,
        TIMESTAMPDIFF(SECOND, held_at, NOW(3)) AS heldForS
        FROM answered_requests WHERE account_id = ? AND request_key = ?`,
      [accountId, key],
    )) as readonly Row[];
    return row && { ...row, answered: Number(row.answered), heldForS: Number(row.heldForS) };
  }

  private async takeOver({ accountId, key }: KeyedRequest, heldAt: string): Promise<boolean> {
    const { affectedRows } = (await this.rows.query(
      'UPDATE answered_requests SET held_at = NOW(3) WHERE account_id = ? AND request_key = ? AND held_at = ? AND answered_at IS NULL',
      [accountId, key, heldAt],
    )) as Changed;
    return affectedRows === 1;
  }

  private async renew({ accountId, key }: KeyedRequest): Promise<void> {
    await this.rows.query('UPDATE answered_requests SET held_at = NOW(3) WHERE account_id = ? AND request_key = ?', [
      accountId,
      key,
    ]);
  }

  private async keep(request: KeyedRequest, reply: string): Promise<void> {
    if (reply.length > replyCharacters) await this.rows.delete(idOf(request));
    else await this.rows.update(idOf(request), { reply, answeredAt: () => 'NOW(3)' });
  }
}

interface Changed {
  readonly affectedRows: number;
}

function idOf({ accountId, key }: KeyedRequest): Pick<KeyedRequest, 'accountId' | 'key'> {
  return { accountId, key };
}
