/** The shelf: a teacher's materials with their four answers, in pages. */
import { Injectable } from '@nestjs/common';
import { limits, type ShelfOrder, type ShelfPage } from '@hapset/contract';
import { opensState, type AccessVerdict, type AnswerState } from '@hapset/core';
import { MaterialFinder, type FindMaterials } from '../../gather/material/material-finder.js';
import { MaterialViews } from '../../gather/material/material-views.js';
import { placeAlone } from '../../lessons/station/place.js';
import { StationService } from '../../lessons/station/station.service.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { ReadinessService } from '../readiness/readiness.service.js';

/** What is wanted of the shelf. */
export interface ShelfRequest extends FindMaterials {
  readonly order: ShelfOrder;
  /** How many rows the pages before had, as text. */
  readonly after: string | null;
}

/** What stops students first. */
const ranks: Readonly<Record<AnswerState, number>> = { stop: 0, 'look-at': 1, 'not-yet': 2, done: 3 };

@Injectable()
export class ShelfService {
  constructor(
    private readonly finder: MaterialFinder,
    private readonly stations: StationService,
    private readonly readiness: ReadinessService,
    private readonly checks: AccessCheckService,
    private readonly views: MaterialViews,
  ) {}

  async page(ownerId: string, request: ShelfRequest): Promise<ShelfPage> {
    const ids = await this.listIds(ownerId, request);
    const begin = Math.max(0, Number.parseInt(request.after ?? '0', 10) || 0);
    const end = begin + limits.shelfPage;
    const shown = await this.finder.listByIds(ids.slice(begin, end));
    const [standings, uses, view] = await Promise.all([
      this.readiness.list(shown.map(placeAlone)),
      this.stations.lessonsOf(shown.map((material) => material.id)),
      this.views.prepare(),
    ]);
    return {
      rows: standings.map(({ place: { material }, code, readiness }) => ({
        material: view(material),
        code,
        readiness,
        lessons: uses.filter((use) => use.materialId === material.id).map(({ id, name }) => ({ id, name })),
      })),
      next: end < ids.length ? String(end) : null,
      total: ids.length,
    };
  }

  private async listIds(ownerId: string, { order, ...request }: ShelfRequest): Promise<readonly string[]> {
    if (order !== 'state') return this.finder.listIds(ownerId, request, order);
    const ids = await this.finder.listIds(ownerId, request, 'title');
    const rank = await this.rankByState(ids);
    return [...ids].sort((one, other) => rank(one) - rank(other));
  }

  private async rankByState(ids: readonly string[]): Promise<(id: string) => number> {
    const materials = await this.finder.listByIds(ids);
    const last = await this.checks.lastOf(materials);
    const states = new Map(
      materials.map(({ id, link }): [string, AnswerState] => [id, stateOf(link, last.get(id)?.done?.verdict ?? null)]),
    );
    return (id) => ranks[states.get(id) ?? 'not-yet'];
  }
}

/** What the code holds itself needs no opening. */
function stateOf(link: string | null, verdict: AccessVerdict | null): AnswerState {
  return link === null && verdict === null ? 'done' : opensState(verdict, 'none');
}
