/** Tells open pages how the checks of their materials move on. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { AccessCheckState } from '@hapset/contract';
import { DataSource } from 'typeorm';
import type { ChangedSince } from '../../platform/database/change-reader.js';
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
    this.events.addSource((since) => this.changes(since));
  }

  private async changes(since: ChangedSince): Promise<readonly ChangeToTell[]> {
    const rows = (await this.dataSource.query(
      `SELECT checks.id, checks.material_id AS materialId, materials.owner_id AS ownerId, checks.state, checks.view
       FROM access_checks checks JOIN materials ON materials.id = checks.material_id
       WHERE checks.changed_at >= ?`,
      [since],
    )) as ChangedRow[];
    return rows.map(({ id, materialId, ownerId, state, view }) => ({
      key: `${id} ${state} ${view ?? ''}`,
      ownerId,
      event: { type: 'check', materialId, state },
    }));
  }
}
