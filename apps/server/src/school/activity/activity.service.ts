/** The activity log: what administrators and the office did. Entries are added, and deleted when they are old, never changed. */
import type { Activity, ActivityPage } from '@hapset/contract';
import { activities, limits } from '@hapset/contract';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { LessThan, Repository, type DataSource, type EntityManager, type FindOptionsWhere } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { deleteRows } from '../../platform/database/delete-rows.js';
import type { SignedIn } from '../rights/signed-in.js';
import { ActivityEntryRow } from './activity-entry.entity.js';

const subjectLength = 200;
/** Who did it, for commands on the server. */
export const atConsole = 'the server’s console';

/** What is looked for. */
export interface ActivityRequest {
  /** The page before that entry; null for the latest. */
  readonly before: string | null;
  readonly activity: Activity | null;
  readonly who: string | null;
}

@Injectable()
export class ActivityService {
  /** For commands, which run beside the server. */
  static for(dataSource: DataSource, clock: Clock): ActivityService {
    return new ActivityService(dataSource.getRepository(ActivityEntryRow), clock);
  }

  constructor(
    @InjectRepository(ActivityEntryRow) private readonly entries: Repository<ActivityEntryRow>,
    private readonly clock: Clock,
  ) {}

  /**
   * @param who null for the server's console
   * @param subject to whom or what it was done; never a student's name
   * @param manager of the transaction that does it
   */
  async note(
    who: Pick<SignedIn, 'id' | 'name' | 'role'> | null,
    activity: Activity,
    subject = '',
    manager: EntityManager = this.entries.manager,
  ): Promise<void> {
    await manager.insert(ActivityEntryRow, {
      id: newId(),
      at: this.clock.now(),
      accountId: who?.id ?? null,
      who: who?.name ?? atConsole,
      role: who?.role ?? null,
      activity,
      subject: subject.slice(0, subjectLength),
    });
  }

  async page(request: ActivityRequest): Promise<ActivityPage> {
    const rows = await this.rows(request, limits.activityPage + 1);
    const shown = rows.slice(0, limits.activityPage);
    return {
      entries: shown.map(({ id, at, who, role, activity, subject }) => ({
        id,
        at: at.toISOString(),
        who,
        role,
        activity,
        subject,
      })),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
    };
  }

  /** The latest first. */
  async rows({ before, activity, who }: ActivityRequest, atMost: number): Promise<readonly ActivityEntryRow[]> {
    const where: FindOptionsWhere<ActivityEntryRow> = {
      ...(before !== null && { id: LessThan(before) }),
      ...(activity !== null && { activity }),
      ...(who !== null && { who }),
    };
    return this.entries.find({ where, order: { id: 'DESC' }, take: atMost });
  }

  /** @returns how many entries went */
  deleteBefore(before: Date): Promise<number> {
    return deleteRows(this.entries.manager, 'activity_entries WHERE at < ?', [before]);
  }
}

export function isActivity(value: unknown): value is Activity {
  return activities.some((known) => known === value);
}
