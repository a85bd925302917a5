/** What stopped opening for students lately: the last change of each material's verdict, where it is one for the worse. */
import { Injectable } from '@nestjs/common';
import type { NewsItem } from '@hapset/contract';
import { opensState, type AccessVerdict, type AnswerState } from '@hapset/core';
import { DataSource } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';

/** Older changes are known or forgotten. */
const newsDays = 7;
const mostItems = 20;

interface ChangeRow {
  readonly materialId: string;
  readonly title: string;
  readonly before: AccessVerdict;
  readonly now: AccessVerdict;
  readonly viewBefore: string | null;
  readonly viewNow: string | null;
  readonly noticedAt: Date;
  readonly stationId: string | null;
  readonly stationName: string | null;
  readonly lessonId: string | null;
  readonly lessonName: string | null;
}

@Injectable()
export class NewsService {
  constructor(
    private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  /** The newest first. */
  async list(ownerId: string): Promise<readonly NewsItem[]> {
    const since = new Date(this.clock.now().getTime() - newsDays * 24 * 3600 * 1000);
    const rows = (await this.dataSource.query(lastChanges, [ownerId, since, ownerId])) as ChangeRow[];
    const once = [...new Map(rows.map((row) => [row.materialId, row])).values()];
    return once
      .filter(({ before, now }) => worse(before, now))
      .slice(0, mostItems)
      .map(toNewsItem);
  }
}

/** For a class without accounts, since that is what most have. */
function worse(before: AccessVerdict, now: AccessVerdict): boolean {
  const order: readonly AnswerState[] = ['done', 'not-yet', 'look-at', 'stop'];
  return order.indexOf(opensState(now, 'none')) > order.indexOf(opensState(before, 'none'));
}

function toNewsItem({
  materialId,
  title,
  before,
  now,
  viewBefore,
  viewNow,
  noticedAt,
  stationId,
  stationName,
  lessonId,
  lessonName,
}: ChangeRow): NewsItem {
  return {
    materialId,
    stationId,
    name: stationName ?? title,
    lessonId,
    lessonName,
    before,
    now,
    viewBefore,
    viewNow,
    noticedAt: noticedAt.toISOString(),
  };
}

/**
 * Of each material the last finished check whose verdict differs from the one before it, as long as the link is still
 * the same; with the station of the next lesson in which it stands.
 */
const lastChanges = `
  SELECT changes.material_id AS materialId, materials.title, changes.before_verdict AS \`before\`, changes.verdict AS \`now\`,
         changes.view_before AS viewBefore, changes.view_now AS viewNow, changes.finished_at AS noticedAt,
         hung.station_id AS stationId, hung.station_name AS stationName, hung.lesson_id AS lessonId, hung.lesson_name AS lessonName
  FROM (
    SELECT checks.id, checks.material_id, checks.verdict, checks.finished_at, checks.link,
           IF(checks.view_key IS NULL, NULL, checks.id) AS view_now,
           LAG(checks.verdict) OVER (PARTITION BY checks.material_id, checks.link ORDER BY checks.id) AS before_verdict,
           LAG(IF(checks.view_key IS NULL, NULL, checks.id)) OVER (PARTITION BY checks.material_id, checks.link ORDER BY checks.id) AS view_before
    FROM access_checks checks JOIN materials ON materials.id = checks.material_id
    WHERE materials.owner_id = ? AND materials.removed_at IS NULL AND checks.state = 'done'
  ) changes
  JOIN materials ON materials.id = changes.material_id
  LEFT JOIN (
    SELECT stations.material_id, stations.id AS station_id, stations.name AS station_name, lessons.id AS lesson_id, lessons.name AS lesson_name, lessons.date
    FROM stations JOIN lessons ON lessons.id = stations.lesson_id
    WHERE stations.removed_at IS NULL AND lessons.removed_at IS NULL
  ) hung ON hung.material_id = changes.material_id
  WHERE changes.before_verdict IS NOT NULL AND changes.verdict <> changes.before_verdict AND changes.finished_at >= ?
    AND NOT EXISTS (
      SELECT 1 FROM access_checks later WHERE later.material_id = changes.material_id AND later.state = 'done' AND later.id > changes.id
        AND (later.verdict <> changes.verdict OR later.link <> changes.link))
    AND materials.owner_id = ?
  ORDER BY changes.finished_at DESC, changes.id DESC, hung.date DESC`;
