/** Keeps what the page's worker rehearsed, under the key that names what was rehearsed. */
import { Injectable } from '@nestjs/common';
import type { SaveRehearsal } from '@hapset/contract';
import type { Place } from '../../lessons/station/place.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { PlacedCodeService } from '../placed-code/placed-code.service.js';
import { RehearsalResultsService } from '../rehearsal-results/rehearsal-results.service.js';

@Injectable()
export class RehearsalService {
  constructor(
    private readonly codes: PlacedCodeService,
    private readonly results: RehearsalResultsService,
  ) {}

  /** @throws ProblemError rehearsal-outdated when payload, size or devices changed meanwhile; invalid when devices are missing */
  async save(place: Place, rehearsalKey: string, request: SaveRehearsal): Promise<void> {
    const { rehearsal, shapeKey } = await this.codes.find(place);
    if (rehearsal.key !== rehearsalKey)
      throw new ProblemError('rehearsal-outdated', 'Code, size or devices changed while it was rehearsed.');
    const rehearsed = new Set(request.results.map((result) => result.deviceId));
    if (rehearsed.size !== rehearsal.devices.length || rehearsal.devices.some((device) => !rehearsed.has(device.id))) {
      throw new ProblemError('invalid', 'A rehearsal has one result for each device.', {
        fields: [{ field: 'results', message: 'must name each device once' }],
      });
    }
    await this.results.save(place.material.id, { rehearsalKey, shapeKey }, request);
  }
}
