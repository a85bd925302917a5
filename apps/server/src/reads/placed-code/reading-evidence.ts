/** What is known of reading codes: what was rehearsed, and what real devices did. */
import { Injectable } from '@nestjs/common';
import type { TriedDevice } from '@hapset/core';
import { RehearsalResultsService, type RehearsedResults } from '../rehearsal-results/rehearsal-results.service.js';
import { TryoutService } from '../tryout-results/tryout.service.js';

/** One code as it is now. */
export interface CodeNow {
  readonly materialId: string;
  readonly ownerId: string;
  readonly payload: string;
  readonly rehearsalKey: string;
}

export interface ReadSoFar {
  readonly rehearsal: RehearsedResults | null;
  readonly tried: readonly TriedDevice[];
}

@Injectable()
export class ReadingEvidence {
  constructor(
    private readonly results: RehearsalResultsService,
    private readonly tryouts: TryoutService,
  ) {}

  async find(codes: readonly CodeNow[]): Promise<(code: CodeNow) => ReadSoFar> {
    const [resultsOf, tried] = await Promise.all([
      this.results.find(
        codes.map(({ rehearsalKey }) => rehearsalKey),
        codes.map(({ ownerId }) => ownerId),
      ),
      this.tryouts.lastOf(codes),
    ]);
    return ({ materialId, ownerId, rehearsalKey }) => ({
      rehearsal: resultsOf(rehearsalKey, ownerId),
      tried: tried.get(materialId) ?? [],
    });
  }
}
