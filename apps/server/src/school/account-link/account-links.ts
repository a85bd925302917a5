/** Makes one-time links and looks them up. Using one deletes it: the second who tries finds nothing. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { AccountLinkKind, AccountLinkMade, InvitationView, Role } from '@hapset/contract';
import { MoreThan, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { AccountLink } from './account-link.entity.js';
import { newToken, tokenHash } from './token.js';

const hourMs = 3600 * 1000;
const lifeMs: Readonly<Record<AccountLinkKind, number>> = {
  setup: hourMs,
  invitation: 7 * 24 * hourMs,
  reset: 24 * hourMs,
};
const paths: Readonly<Record<AccountLinkKind, string>> = {
  setup: '/setup',
  invitation: '/join',
  reset: '/new-password',
};

/** For whom a link is. */
export type LinkFor =
  | { readonly kind: 'setup' }
  | { readonly kind: 'invitation'; readonly role: Role; readonly note: string }
  | { readonly kind: 'reset'; readonly accountId: string };

export const linkOver = (): ProblemError =>
  new ProblemError('link-over', 'This link was used already, has expired or was revoked.');

@Injectable()
export class AccountLinks {
  constructor(
    @InjectRepository(AccountLink) private readonly links: Repository<AccountLink>,
    private readonly clock: Clock,
  ) {}

  /** Earlier setup links, or earlier links for the same account, stop working. @param base the address of this server */
  async make(wanted: LinkFor, base: string, manager: EntityManager = this.links.manager): Promise<AccountLinkMade> {
    if (wanted.kind === 'setup') await manager.delete(AccountLink, { kind: 'setup' });
    if (wanted.kind === 'reset') await manager.delete(AccountLink, { accountId: wanted.accountId });
    const token = newToken();
    const now = this.clock.now();
    const row = {
      id: newId(),
      tokenHash: tokenHash(token),
      kind: wanted.kind,
      role: wanted.kind === 'invitation' ? wanted.role : wanted.kind === 'setup' ? ('administrator' as const) : null,
      accountId: wanted.kind === 'reset' ? wanted.accountId : null,
      note: wanted.kind === 'invitation' ? wanted.note : '',
      madeAt: now,
      expiresAt: new Date(now.getTime() + lifeMs[wanted.kind]),
    };
    await manager.insert(AccountLink, row);
    return {
      id: row.id,
      token,
      address: `${base}${paths[wanted.kind]}#${token}`,
      expiresAt: row.expiresAt.toISOString(),
    };
  }

  /** @throws ProblemError link-over */
  async find(token: string, manager: EntityManager = this.links.manager): Promise<AccountLink> {
    const found = await manager.findOneBy(AccountLink, {
      tokenHash: tokenHash(token),
      expiresAt: MoreThan(this.clock.now()),
    });
    if (!found) throw linkOver();
    return found;
  }

  /** It is over with that transaction. @throws ProblemError link-over */
  async take(token: string, kind: AccountLinkKind, manager: EntityManager): Promise<AccountLink> {
    const link = await this.find(token, manager);
    const { affected } = await manager.delete(AccountLink, { id: link.id, kind });
    if (affected !== 1) throw linkOver();
    return link;
  }

  /** The latest first. */
  async invitations(): Promise<readonly InvitationView[]> {
    const rows = await this.links.find({
      where: { kind: 'invitation', expiresAt: MoreThan(this.clock.now()) },
      order: { id: 'DESC' },
    });
    return rows.map(({ id, role, note, madeAt, expiresAt }) => ({
      id,
      role: role ?? 'teacher',
      note,
      madeAt: madeAt.toISOString(),
      expiresAt: expiresAt.toISOString(),
    }));
  }

  /** @returns the revoked invitation; null if it no longer exists */
  async revoke(id: string, manager: EntityManager): Promise<AccountLink | null> {
    const link = await manager.findOneBy(AccountLink, { id, kind: 'invitation' });
    const { affected } = await manager.delete(AccountLink, { id, kind: 'invitation' });
    return affected === 1 ? link : null;
  }
}
