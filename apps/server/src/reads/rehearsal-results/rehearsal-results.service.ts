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

/** What a rehearsal is found by: exactly what was rehearsed, and what codes of its shape have in common. */
export interface RehearsalKeys {
  readonly rehearsalKey: string;
  readonly shapeKey: string;
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

  /**
   * What the same devices made of a code of the same shape, the newest of each owner's. How far a code is read is told
   * by its modules, not by what it says; who rehearses the next one begins there.
   */
  async findLike(
    shapeKeys: readonly string[],
    ownerIds: readonly string[],
  ): Promise<(shapeKey: string, ownerId: string) => readonly RehearsalResult[] | null> {
    if (shapeKeys.length === 0) return () => null;
    const rows = (await this.rehearsals.query(
      `SELECT rehearsals.shape_key AS shapeKey, materials.owner_id AS ownerId, rehearsals.results
       FROM (SELECT shaped.shape_key, owned.owner_id, MAX(shaped.rehearsed_at) AS rehearsed_at
             FROM rehearsals shaped JOIN materials owned ON owned.id = shaped.material_id
             WHERE shaped.shape_key IN (?) AND owned.owner_id IN (?) GROUP BY shaped.shape_key, owned.owner_id) newest
       JOIN rehearsals ON rehearsals.shape_key = newest.shape_key AND rehearsals.rehearsed_at = newest.rehearsed_at
       JOIN materials ON materials.id = rehearsals.material_id AND materials.owner_id = newest.owner_id`,
      [shapeKeys, ownerIds],
    )) as { readonly shapeKey: string; readonly ownerId: string; readonly results: RehearsalResult[] }[];
    const found = new Map(rows.map((row) => [`${row.shapeKey} ${row.ownerId}`, row.results]));
    return (shapeKey, ownerId) => found.get(`${shapeKey} ${ownerId}`) ?? null;
  }

  async save(
    materialId: string,
    { rehearsalKey, shapeKey }: RehearsalKeys,
    { results, unreadBy }: SaveRehearsal,
  ): Promise<void> {
    await this.rehearsals.upsert(
      { materialId, rehearsalKey, shapeKey, results, unreadBy, rehearsedAt: this.clock.now() },
      ['materialId', 'rehearsalKey'],
    );
  }
}
