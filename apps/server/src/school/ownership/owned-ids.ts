/**
 * Whose an id is, by the name under which it is in a path. The guard asks here for every id of every request;
 * a name that is not listed is refused, so that a new route can't forget it.
 */
import { Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import type { SignedIn } from '../rights/signed-in.js';

const ownQueries: Readonly<Record<string, string>> = {
  lessonId: 'SELECT 1 FROM lessons WHERE id = ? AND owner_id = ?',
  stationId:
    'SELECT 1 FROM stations JOIN lessons ON lessons.id = stations.lesson_id WHERE stations.id = ? AND lessons.owner_id = ?',
  materialId: 'SELECT 1 FROM materials WHERE id = ? AND owner_id = ?',
  uploadId: 'SELECT 1 FROM uploads WHERE id = ? AND owner_id = ?',
  fileId: 'SELECT 1 FROM kept_files WHERE id = ? AND owner_id = ?',
  accessCheckId:
    'SELECT 1 FROM access_checks JOIN materials ON materials.id = access_checks.material_id WHERE access_checks.id = ? AND materials.owner_id = ?',
  linkCheckId: 'SELECT 1 FROM access_checks WHERE id = ? AND material_id IS NULL AND asked_by_id = ?',
  rehearsalId: 'SELECT 1 FROM asked_rehearsals WHERE id = ? AND asked_by_id = ?',
  tryoutId:
    'SELECT 1 FROM tryouts JOIN materials ON materials.id = tryouts.material_id WHERE tryouts.id = ? AND materials.owner_id = ?',
  cardReadingId: 'SELECT 1 FROM card_readings WHERE id = ? AND read_by_id = ?',
  sessionId: 'SELECT 1 FROM sessions WHERE id = ? AND account_id = ?',
  printId: 'SELECT 1 FROM prints WHERE id = ? AND owner_id = ?',
  sheetId:
    'SELECT 1 FROM sheets JOIN materials ON materials.id = sheets.material_id WHERE sheets.id = ? AND materials.owner_id = ?',
};
/** Belongs to the school: every member of staff may. */
const schoolQueries: Readonly<Record<string, string>> = {
  classId: 'SELECT 1 FROM school_classes WHERE id = ?',
  deviceId: 'SELECT 1 FROM devices WHERE id = ?',
  lookId: 'SELECT 1 FROM looks WHERE id = ?',
  sheetTemplateId: 'SELECT 1 FROM sheet_templates WHERE id = ? AND removed_at IS NULL',
  lookPictureId: 'SELECT 1 FROM look_pictures WHERE id = ?',
  accountId: 'SELECT 1 FROM accounts WHERE id = ?',
  invitationId: "SELECT 1 FROM account_links WHERE id = ? AND kind = 'invitation'",
};
/** Belongs to some of the staff: `:who` and `:role` are the caller's account id and role. */
const sharedQueries: Readonly<Record<string, string>> = {
  studentId: `SELECT 1 FROM students LEFT JOIN schools ON schools.id = 1 WHERE students.id = :id
    AND (:role <> 'teacher' OR schools.teacher_classes IS NULL OR JSON_CONTAINS(JSON_EXTRACT(schools.teacher_classes, CONCAT('$."', :who, '"')), JSON_QUOTE(students.class_name)))`,
  rosterImportId: "SELECT 1 FROM roster_imports WHERE id = :id AND (imported_by_id = :who OR :role = 'administrator')",
};
/** Names that are no ids: a rehearsal's key is a hash under an id that is checked itself, a tag a word among one's own, a service's id what its description says, a page's number counts, a former host is a name among the school's. */
const notIds = new Set(['rehearsalKey', 'tag', 'serviceId', 'pageNumber', 'formerHost']);

@Injectable()
export class OwnedIds {
  constructor(private readonly dataSource: DataSource) {}

  /** Whether it is known who may use ids of that name. */
  decides(name: string): boolean {
    return (
      notIds.has(name) || [ownQueries, schoolQueries, sharedQueries].some((queries) => Object.hasOwn(queries, name))
    );
  }

  /** @throws Error for a name that nobody decided about */
  async mayUse(name: string, id: string, who: SignedIn): Promise<boolean> {
    if (notIds.has(name)) return true;
    // Ids are UUIDs. Anything else belongs to nobody and is not looked up.
    if (!/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(id)) return false;
    const own = ownQueries[name];
    if (own !== undefined) return this.finds(own, [id, who.id]);
    const school = schoolQueries[name];
    if (school !== undefined) return this.finds(school, [id]);
    const shared = sharedQueries[name];
    if (shared !== undefined) return this.finds(...filled(shared, { id, who: who.id, role: who.role }));
    throw new Error(`nobody decided who may use ${name}`);
  }

  private async finds(query: string, values: readonly string[]): Promise<boolean> {
    const rows: unknown = await this.dataSource.query(query, [...values]);
    return Array.isArray(rows) && rows.length > 0;
  }
}

/** Named values in their order of appearance. */
function filled(query: string, values: Readonly<Record<string, string>>): [string, readonly string[]] {
  const used: string[] = [];
  return [query.replace(/:(id|who|role)\b/g, (_, name: string) => (used.push(values[name] ?? ''), '?')), used];
}
