/** What was rehearsed before, found by the key that names what was rehearsed. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { RehearsalResult, SaveRehearsal } from '@hapset/contract';
import { In, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { Rehearsal } from './rehearsal.entity.js';

/** Results with the time at which they were measured. */
export interface RehearsedResults {
  readonly results: readonly RehearsalResult[];
  readonly unreadBy: SaveRehearsal['unreadBy'];
  readonly rehearsedAt: Date;
}

@Injectable()
export class RehearsalResultsService {
  constructor(
    @InjectRepository(Rehearsal) private readonly rehearsals: Repository<Rehearsal>,
    private readonly clock: Clock,
  ) {}

  /**
   * The newest of each key among the owner's. The same code at the same size is the same rehearsal, whichever of its
   * owner's materials it was made for.
   */
  async find(
    keys: readonly string[],
    ownerIds: readonly string[],
  ): Promise<(key: string, ownerId: string) => RehearsedResults | null> {
    const rows = await this.rehearsals.find({
      where: { rehearsalKey: In([...keys]), material: { ownerId: In([...ownerIds]) } },
      relations: { material: true },
      select: { material: { id: true, ownerId: true } },
      order: { rehearsedAt: 'DESC' },
    });
    return (key, ownerId) => rows.find((row) => row.rehearsalKey === key && row.material.ownerId === ownerId) ?? null;
  }

  async save(materialId: string, rehearsalKey: string, { results, unreadBy }: SaveRehearsal): Promise<void> {
    await this.rehearsals.upsert({ materialId, rehearsalKey, results, unreadBy, rehearsedAt: this.clock.now() }, [
      'materialId',
      'rehearsalKey',
    ]);
  }
}
