/** Keeps what the page's worker rehearsed, under the key that names what was rehearsed. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { RehearsalResult } from '@hapset/contract';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { MaterialPageService } from '../../overview/material-page/material-page.service.js';
import { ProblemError } from '../../platform/problem/problem.js';
import type { Place } from '../../overview/readiness/standing.js';
import { Rehearsal } from './rehearsal.entity.js';

@Injectable()
export class RehearsalService {
  constructor(
    @InjectRepository(Rehearsal) private readonly rehearsals: Repository<Rehearsal>,
    private readonly pages: MaterialPageService,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError rehearsal-outdated when payload, size or devices changed meanwhile; invalid when devices are missing */
  async save(place: Place, rehearsalKey: string, results: readonly RehearsalResult[]): Promise<void> {
    const { rehearsal } = await this.pages.standing(place);
    if (rehearsal.key !== rehearsalKey)
      throw new ProblemError('rehearsal-outdated', 'Code, size or devices changed while it was rehearsed.');
    const rehearsed = new Set(results.map((result) => result.deviceId));
    if (rehearsed.size !== rehearsal.devices.length || rehearsal.devices.some((device) => !rehearsed.has(device.id))) {
      throw new ProblemError('invalid', 'A rehearsal has one result for each device.', {
        fields: [{ field: 'results', message: 'must name each device once' }],
      });
    }
    await this.rehearsals.upsert(
      { materialId: place.material.id, rehearsalKey, results, rehearsedAt: this.clock.now() },
      ['materialId', 'rehearsalKey'],
    );
  }
}
