/**
 * Whose an id is, by the name under which it stands in a path. The guard asks here for every id of every request;
 * a name that is not listed is refused, so that a new route can't forget it.
 */
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import type { Account } from '../account/account.entity.js';

const ownQueries: Readonly<Record<string, string>> = {
  lessonId: 'SELECT 1 FROM lessons WHERE id = ? AND owner_id = ?',
  stationId: 'SELECT 1 FROM stations JOIN lessons ON lessons.id = stations.lesson_id WHERE stations.id = ? AND lessons.owner_id = ?',
  materialId: 'SELECT 1 FROM materials WHERE id = ? AND owner_id = ?',
  uploadId: 'SELECT 1 FROM uploads WHERE id = ? AND owner_id = ?',
  fileId: 'SELECT 1 FROM kept_files WHERE id = ? AND owner_id = ?',
  accessCheckId: 'SELECT 1 FROM access_checks JOIN materials ON materials.id = access_checks.material_id WHERE access_checks.id = ? AND materials.owner_id = ?',
  linkCheckId: 'SELECT 1 FROM access_checks WHERE id = ? AND material_id IS NULL AND asked_by_id = ?',
  rehearsalId: 'SELECT 1 FROM asked_rehearsals WHERE id = ? AND asked_by_id = ?',
  tryoutId: 'SELECT 1 FROM tryouts JOIN materials ON materials.id = tryouts.material_id WHERE tryouts.id = ? AND materials.owner_id = ?',
  cardReadingId: 'SELECT 1 FROM card_readings WHERE id = ? AND read_by_id = ?',
  printId: 'SELECT 1 FROM prints WHERE id = ? AND owner_id = ?',
  sheetId: 'SELECT 1 FROM sheets JOIN materials ON materials.id = sheets.material_id WHERE sheets.id = ? AND materials.owner_id = ?',
};
/** Belongs to the school: every member of staff may. */
const schoolQueries: Readonly<Record<string, string>> = {
  classId: 'SELECT 1 FROM school_classes WHERE id = ?',
  deviceId: 'SELECT 1 FROM devices WHERE id = ?',
  lookId: 'SELECT 1 FROM looks WHERE id = ?',
  studentId: 'SELECT 1 FROM students WHERE id = ?',
  rosterImportId: 'SELECT 1 FROM roster_imports WHERE id = ?',
  sheetTemplateId: 'SELECT 1 FROM sheet_templates WHERE id = ? AND removed_at IS NULL',
  lookPictureId: 'SELECT 1 FROM look_pictures WHERE id = ?',
};
/** Names that are no ids: a rehearsal's key is a hash under an id that is checked itself, a tag a word among one's own, a service's id what its description says, a page's number counts. */
const notIds = new Set(['rehearsalKey', 'tag', 'serviceId', 'pageNumber']);

@Injectable()
export class OwnedIds {
  constructor(private readonly dataSource: DataSource) {}

  /** @throws Error for a name that nobody decided about */
  async mayUse(name: string, id: string, who: Account): Promise<boolean> {
    if (notIds.has(name)) return true;
    const own = ownQueries[name];
    if (own !== undefined) return this.finds(own, [id, who.id]);
    const school = schoolQueries[name];
    if (school !== undefined) return this.finds(school, [id]);
    throw new Error(`nobody decided who may use ${name}`);
  }

  private async finds(query: string, values: readonly string[]): Promise<boolean> {
    const rows: unknown = await this.dataSource.query(query, [...values]);
    return Array.isArray(rows) && rows.length > 0;
  }
}
