/** Which classes a member of staff sees: all, unless the school limits its teachers. */
import { Injectable } from '@nestjs/common';
import { SchoolService } from '../../school/settings/school.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** Null: all classes. */
export type VisibleClasses = readonly string[] | null;

@Injectable()
export class StudentVisibility {
  constructor(private readonly school: SchoolService) {}

  async find({ id, role }: Pick<SignedIn, 'id' | 'role'>): Promise<VisibleClasses> {
    if (role !== 'teacher') return null;
    const { teacherClasses } = await this.school.get();
    return teacherClasses === null ? null : (teacherClasses[id] ?? []);
  }
}

export function isVisible(className: string, visible: VisibleClasses): boolean {
  return visible === null || visible.includes(className);
}
