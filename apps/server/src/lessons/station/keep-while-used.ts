/** A material that a lesson shows is not removed. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { MaterialEvents, type MaterialSubscriber } from '../../gather/material/material-events.js';
import { inUse } from '../../platform/problem/problem.js';
import { StationService } from './station.service.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

@Injectable()
export class KeepWhileUsed implements OnModuleInit, MaterialSubscriber {
  constructor(
    private readonly events: MaterialEvents,
    private readonly stations: StationService,
  ) {}

  onModuleInit(): void {
    this.events.subscribe(this);
  }

  /** @throws ProblemError in-use */
  async prepareRemoval({ id }: MaterialRecord): Promise<void> {
    const used = await this.stations.lessonsOf([id]);
    if (used.length > 0) throw inUse('lesson', { names: used.map(({ name }) => name) });
  }
}
