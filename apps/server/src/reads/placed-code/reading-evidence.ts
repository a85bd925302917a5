/** What is known of reading codes: what was rehearsed, and what real devices did. */
import { Injectable } from '@nestjs/common';
import type { RehearsalResult } from '@hapset/contract';
import type { TriedDevice } from '@hapset/core';
import { RehearsalResultsService, type RehearsedResults } from '../rehearsal-results/rehearsal-results.service.js';
import { TryoutService } from '../tryout-results/tryout.service.js';

/** One code as it is now. */
export interface CodeNow {
  readonly materialId: string;
  readonly ownerId: string;
  readonly payload: string;
  readonly rehearsalKey: string;
  readonly shapeKey: string;
}

export interface ReadSoFar {
  readonly rehearsal: RehearsedResults | null;
  /** Of a code of the same shape, where its own rehearsal is not complete. */
  readonly like: readonly RehearsalResult[] | null;
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
    const isOpen = ({ rehearsalKey, ownerId }: CodeNow): boolean => !isComplete(resultsOf(rehearsalKey, ownerId));
    const open = codes.filter(isOpen);
    const likeOf = await this.results.findLike(
      open.map(({ shapeKey }) => shapeKey),
      open.map(({ ownerId }) => ownerId),
    );
    return (code) => ({
      rehearsal: resultsOf(code.rehearsalKey, code.ownerId),
      like: isOpen(code) ? likeOf(code.shapeKey, code.ownerId) : null,
      tried: tried.get(code.materialId) ?? [],
    });
  }
}

/** Whether every engine was asked. */
function isComplete(rehearsal: RehearsedResults | null): boolean {
  return rehearsal !== null && rehearsal.results.every(({ others }) => others.length > 0);
}
