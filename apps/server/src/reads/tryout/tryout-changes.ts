/** Tells open pages when a device that is tried opens the code, and the page behind it. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { DataSource } from 'typeorm';
import type { ChangedSince } from '../../platform/database/change-reader.js';
import { LiveEventsService, type ChangeToTell } from '../../platform/live-events/live-events.service.js';

interface TriedRow {
  readonly id: string;
  readonly materialId: string;
  readonly ownerId: string;
  readonly pageOpened: number | null;
}

@Injectable()
export class TryoutChanges implements OnModuleInit {
  constructor(
    private readonly events: LiveEventsService,
    private readonly dataSource: DataSource,
  ) {}

  onModuleInit(): void {
    this.events.addSource((since) => this.changes(since));
  }

  private async changes(since: ChangedSince): Promise<readonly ChangeToTell[]> {
    const rows = (await this.dataSource.query(
      `SELECT tryouts.id, tryouts.material_id AS materialId, materials.owner_id AS ownerId, tryouts.page_opened AS pageOpened
       FROM tryouts JOIN materials ON materials.id = tryouts.material_id
       WHERE tryouts.changed_at >= ?`,
      [since],
    )) as TriedRow[];
    return rows.map(({ id, materialId, ownerId, pageOpened }) => ({
      key: `${id} ${pageOpened ?? ''}`,
      ownerId,
      event: { type: 'tryout', materialId },
    }));
  }
}
