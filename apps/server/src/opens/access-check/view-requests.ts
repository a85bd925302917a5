/** Which pages are seen in a browser as well: those that the core asks for, and all of a lesson in the coming week. */
import { Injectable } from '@nestjs/common';
import type { StudentViewState } from '@hapset/contract';
import { wantsDrawing, type Evidence, type Judgement } from '@hapset/core';
import { Clock } from '../../platform/clock/clock.js';
import { StationService } from '../../lessons/station/station.service.js';
import { StudentViews } from '../student-view/student-views.js';
import type { AccessCheck } from './access-check.entity.js';

const dayMs = 24 * 3600 * 1000;
const daysAhead = 7;

@Injectable()
export class ViewRequests {
  constructor(
    private readonly views: StudentViews,
    private readonly stations: StationService,
    private readonly clock: Clock,
  ) {}

  /** Null where none is asked. Nothing is drawn for visitors: a browser is for those who work here. */
  async stateFor(
    { materialId, askedById }: AccessCheck,
    evidence: Evidence,
    judgement: Judgement,
  ): Promise<Extract<StudentViewState, 'waiting' | 'no-browser'> | null> {
    if (materialId === null && askedById === null) return null;
    if (!wantsDrawing(evidence, judgement, true)) return null;
    const isWanted = wantsDrawing(evidence, judgement, false) || (await this.isWantedSoon(materialId));
    if (!isWanted) return null;
    return this.views.missing === null ? 'waiting' : 'no-browser';
  }

  private async isWantedSoon(materialId: string | null): Promise<boolean> {
    if (materialId === null) return false;
    const day = (ahead: number): string =>
      new Date(this.clock.now().getTime() + ahead * dayMs).toISOString().slice(0, 10);
    return this.stations.isWantedBetween(materialId, day(0), day(daysAhead));
  }
}
