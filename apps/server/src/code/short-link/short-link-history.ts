/** What happened to short links: how often they were opened, and where they led before. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { EntityManager, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { OpensCounter } from './opens-counter.js';
import { ShortLinkCount } from './short-link-count.entity.js';
import { ShortLinkTurn } from './short-link-turn.entity.js';

const turnsShown = 20;

@Injectable()
export class ShortLinkHistory {
  constructor(
    @InjectRepository(ShortLinkTurn) private readonly turns: Repository<ShortLinkTurn>,
    @InjectRepository(ShortLinkCount) private readonly counts: Repository<ShortLinkCount>,
    private readonly counter: OpensCounter,
    private readonly clock: Clock,
  ) {}

  /** Remembers where it led. */
  async addTurn(manager: EntityManager, slug: string, from: string, to: string): Promise<void> {
    await manager.insert(ShortLinkTurn, { id: newId(), slug, fromAddress: from, toAddress: to, at: this.clock.now() });
  }

  async countOpens(slug: string): Promise<number> {
    return (await this.counts.sum('opens', { slug })) ?? 0;
  }

  /** Those that are counted in memory only. */
  writeCounts(): Promise<void> {
    return this.counter.write();
  }

  /** The last turns, and the openings of each hour since then. */
  async find(
    slug: string,
    since: Date,
  ): Promise<{ readonly turns: readonly ShortLinkTurn[]; readonly counts: readonly ShortLinkCount[] }> {
    const [turns, counts] = await Promise.all([
      this.turns.find({ where: { slug }, order: { id: 'DESC' }, take: turnsShown }),
      this.counts
        .createQueryBuilder('count')
        .where('count.slug = :slug AND count.hour >= :since', { slug, since })
        .orderBy('count.hour')
        .getMany(),
    ]);
    return { turns, counts };
  }
}
