/** Tells open pages how the checks of their materials move on. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { AccessCheckState } from '@hapset/contract';
import { DataSource } from 'typeorm';
import { changedLately } from '../../platform/database/changed-lately.js';
import { LiveEventsService, type ChangeToTell } from '../../platform/live-events/live-events.service.js';

interface ChangedRow {
  readonly id: string;
  readonly materialId: string;
  readonly ownerId: string;
  readonly state: AccessCheckState;
  readonly view: string | null;
}

@Injectable()
export class CheckChanges implements OnModuleInit {
  constructor(
    private readonly events: LiveEventsService,
    private readonly dataSource: DataSource,
  ) {}

  onModuleInit(): void {
    this.events.addSource(() => this.changes());
  }

  private async changes(): Promise<readonly ChangeToTell[]> {
    const rows = (await this.dataSource.query(
      `SELECT checks.id, checks.material_id AS materialId, materials.owner_id AS ownerId, checks.state, checks.view
       FROM access_checks checks JOIN materials ON materials.id = checks.material_id
       WHERE ${changedLately('checks.changed_at')}`,
    )) as ChangedRow[];
    return rows.map(({ id, materialId, ownerId, state, view }) => ({
      key: `${id} ${state} ${view ?? ''}`,
      ownerId,
      event: { type: 'check', materialId, state },
    }));
  }
}
