/** The list of a teacher's short links, with what became of each. */
import { Injectable } from '@nestjs/common';
import {
  limits,
  shortLinkFilters,
  type ShortLinkFilter,
  type ShortLinkRow,
  type ShortLinksPage,
} from '@hapset/contract';
import { accessVerdicts, isShortForm, letsIn, newSlugLengths, shortAddress, type AccessVerdict } from '@hapset/core';
import { safeCsv } from '../../platform/spreadsheet/safe-csv.js';
import { DataSource } from 'typeorm';
import { addressOf } from '../../gather/material/material-address.js';
import { SchoolService } from '../../school/settings/school.service.js';

interface Row {
  readonly slug: string;
  /** 1 where new codes carry it, 0 where it was replaced. */
  readonly current: number;
  readonly materialId: string;
  readonly title: string;
  readonly link: string | null;
  readonly pageToken: string | null;
  readonly removedAt: Date | null;
  readonly carry: string;
  readonly createdAt: Date;
  readonly sheets: string;
  readonly opens: string | null;
  readonly verdict: AccessVerdict | null;
  readonly checkedAt: Date | null;
}

export interface ShortLinkRequest {
  readonly find: string;
  readonly filter: ShortLinkFilter;
  /** The `next` of the page before. */
  readonly after: string | null;
}

const columns = `links.slug, links.current_for IS NOT NULL AS current, materials.id AS materialId, materials.title, materials.link, materials.page_token AS pageToken, materials.removed_at AS removedAt, materials.carry, links.created_at AS createdAt,
  (SELECT COUNT(*) FROM sheets WHERE sheets.material_id = materials.id AND JSON_VALUE(sheets.content, '$.payload') LIKE CONCAT('%/', links.slug)) AS sheets,
  (SELECT SUM(opens) FROM short_link_counts counts WHERE counts.slug = links.slug) AS opens,
  checks.verdict, checks.finished_at AS checkedAt`;
const tables = `short_links links JOIN materials ON materials.id = links.material_id
  LEFT JOIN access_checks checks ON checks.id = (SELECT MAX(id) FROM access_checks WHERE access_checks.material_id = materials.id AND access_checks.state = 'done')`;

const conditions: Readonly<Record<ShortLinkFilter, string>> = {
  all: '1 = 1',
  'in-trouble': 'materials.removed_at IS NULL AND checks.verdict IS NOT NULL AND checks.verdict NOT IN (?)',
  'on-paper':
    "EXISTS (SELECT 1 FROM sheets WHERE sheets.material_id = materials.id AND JSON_VALUE(sheets.content, '$.payload') LIKE CONCAT('%/', links.slug))",
  'to-replace': `materials.removed_at IS NULL AND links.current_for IS NOT NULL AND CHAR_LENGTH(links.slug) < ${newSlugLengths.least}`,
  'taken-down': 'materials.removed_at IS NOT NULL',
};
const opensFor = accessVerdicts.filter((verdict) => letsIn(verdict) || verdict === 'organisation');
const exportedAtMost = 20_000;

@Injectable()
export class ShortLinkListService {
  constructor(
    private readonly dataSource: DataSource,
    private readonly school: SchoolService,
  ) {}

  async page(ownerId: string, request: ShortLinkRequest): Promise<ShortLinksPage> {
    const { where, values } = whereOf(ownerId, request);
    const counted = (await this.dataSource.query(`SELECT COUNT(*) AS total FROM ${tables} WHERE ${where}`, values)) as {
      total: string;
    }[];
    const from =
      request.after === null
        ? { where: '', values: [] }
        : {
            where: ' AND (links.created_at, links.slug) < (SELECT created_at, slug FROM short_links WHERE slug = ?)',
            values: [request.after],
          };
    const rows = await this.rows(where + from.where, [...values, ...from.values], limits.shelfPage + 1);
    const shown = rows.slice(0, limits.shelfPage);
    return {
      rows: await this.views(shown),
      next: rows.length > shown.length ? (shown.at(-1)?.slug ?? null) : null,
      total: Number(counted[0]?.total ?? 0),
    };
  }

  /** CSV (RFC 4180) of all that the request finds. Cells that a spreadsheet would run are made text. */
  async csv(ownerId: string, request: ShortLinkRequest): Promise<string> {
    const { where, values } = whereOf(ownerId, request);
    const rows = await this.views(await this.rows(where, values, exportedAtMost));
    const data = rows.map(({ address, title, target, lessons, sheets, opens, verdict, checkedAt, createdAt }) => [
      address,
      title,
      target ?? '',
      lessons.map(({ name }) => name).join('; '),
      sheets,
      opens,
      verdict ?? '',
      checkedAt ?? '',
      createdAt,
    ]);
    return safeCsv(
      ['Short link', 'Title', 'Leads to', 'Lessons', 'Sheets', 'Opened', 'Last check', 'Checked at', 'Made at'],
      data,
    );
  }

  private async rows(where: string, values: readonly unknown[], limit: number): Promise<readonly Row[]> {
    return (await this.dataSource.query(
      `SELECT ${columns} FROM ${tables} WHERE ${where} ORDER BY links.created_at DESC, links.slug DESC LIMIT ${limit}`,
      [...values],
    )) as Row[];
  }

  private async views(rows: readonly Row[]): Promise<readonly ShortLinkRow[]> {
    const [{ publicAddress, shortLinkHost }, lessons] = await Promise.all([
      this.school.get(),
      this.lessonsOf(rows.map(({ materialId }) => materialId)),
    ]);
    return rows.map(
      ({
        slug,
        current,
        materialId,
        title,
        removedAt,
        carry,
        sheets,
        opens,
        verdict,
        checkedAt,
        createdAt,
        ...address
      }) => ({
        slug,
        address: shortAddress(publicAddress, shortLinkHost, slug),
        shortForm: isShortForm(slug) && current === 1,
        materialId,
        title,
        target: removedAt === null ? addressOf(address, publicAddress) : null,
        carried: carry === 'short-link' && current === 1,
        lessons: lessons.filter((lesson) => lesson.materialId === materialId).map(({ id, name }) => ({ id, name })),
        sheets: Number(sheets),
        opens: Number(opens ?? 0),
        verdict,
        checkedAt: checkedAt?.toISOString() ?? null,
        createdAt: createdAt.toISOString(),
      }),
    );
  }

  private async lessonsOf(
    materialIds: readonly string[],
  ): Promise<readonly { materialId: string; id: string; name: string }[]> {
    if (materialIds.length === 0) return [];
    return (await this.dataSource.query(
      `SELECT DISTINCT stations.material_id AS materialId, lessons.id, lessons.name FROM stations JOIN lessons ON lessons.id = stations.lesson_id
       WHERE stations.material_id IN (?) AND stations.removed_at IS NULL AND lessons.removed_at IS NULL ORDER BY lessons.name, lessons.id`,
      [materialIds],
    )) as { materialId: string; id: string; name: string }[];
  }
}

export function isShortLinkFilter(filter: unknown): filter is ShortLinkFilter {
  return (shortLinkFilters as readonly unknown[]).includes(filter);
}

/** Every word must be found in title, target or slug. */
function whereOf(
  ownerId: string,
  { find, filter }: ShortLinkRequest,
): { readonly where: string; readonly values: readonly unknown[] } {
  const words = find
    .trim()
    .split(/\s+/)
    .filter((word) => word !== '')
    .slice(0, 8);
  const values: unknown[] = [ownerId, ...(filter === 'in-trouble' ? [opensFor] : [])];
  const found = words.map((word) => {
    const like = `%${word.replace(/[\\%_]/g, '\\$&')}%`;
    values.push(like, like, like);
    return ' AND (materials.title LIKE ? OR materials.link LIKE ? OR links.slug LIKE ?)';
  });
  return { where: `materials.owner_id = ? AND ${conditions[filter]}${found.join('')}`, values };
}
