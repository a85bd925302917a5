import type { Role, StaffMember } from '@hapset/contract';

export interface StaffRow {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly deactivatedAt: Date | null;
  readonly lastSignInAt: Date | null;
  readonly lessons: string;
  readonly materials: string;
}

/** Counts by tables' names: the areas that keep these things come after this one. */
export const staffQuery = `SELECT accounts.id, accounts.name, accounts.email, accounts.role,
  accounts.deactivated_at AS deactivatedAt, accounts.last_sign_in_at AS lastSignInAt,
  (SELECT COUNT(*) FROM lessons WHERE lessons.owner_id = accounts.id AND lessons.removed_at IS NULL) AS lessons,
  (SELECT COUNT(*) FROM materials WHERE materials.owner_id = accounts.id AND materials.removed_at IS NULL) AS materials
  FROM accounts`;

export function toStaffMember({
  id,
  name,
  email,
  role,
  deactivatedAt,
  lastSignInAt,
  lessons,
  materials,
}: StaffRow): StaffMember {
  return {
    accountId: id,
    name,
    email,
    role,
    active: deactivatedAt === null,
    lastSignInAt: lastSignInAt?.toISOString() ?? null,
    lessons: Number(lessons),
    materials: Number(materials),
  };
}
