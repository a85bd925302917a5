/**
 * Rosters are looked at by hand: the general validator makes objects of five thousand students, and of whatever else was
 * sent, before it looks at the first; the whole server waited most of a second for that.
 */
import { Injectable, type PipeTransform } from '@nestjs/common';
import type { CompareRoster, ImportedStudent } from '@hapset/contract';
import { rosterLimits } from '@hapset/core';
import { ProblemError } from '../../platform/problem/problem.js';

const { nameLength, idLength, classLength, students: mostStudents } = rosterLimits;

type Checks = Readonly<Record<string, (value: unknown) => boolean>>;

const compareChecks: Checks = {
  students: (value) =>
    Array.isArray(value) && value.length >= 1 && value.length <= mostStudents && value.every(isRosterStudent),
};
/** @throws ProblemError invalid naming the members that are missing, unknown or wrong */
function checked<Body>(body: unknown, checks: Checks): Body {
  const given = typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};
  const wrong = Object.entries(checks).filter(([member, check]) => !check(given[member]));
  const unknown = Object.keys(given).filter((member) => !(member in checks));
  const fields = [
    ...wrong.map(([field]) => ({ field, message: `${field} needs another value` })),
    ...unknown.map((field) => ({
      field: field.slice(0, 200),
      message: `property ${field.slice(0, 200)} should not exist`,
    })),
  ].slice(0, 20);
  if (fields.length > 0) throw new ProblemError('invalid', 'Some fields need another value.', { fields });
  return given as Body;
}

@Injectable()
export class CompareRosterPipe implements PipeTransform<unknown, CompareRoster> {
  transform(body: unknown): CompareRoster {
    return checked(body, compareChecks);
  }
}

function isRosterStudent(value: unknown): value is ImportedStudent {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 7) return false;
  const { schoolId, className, year, prefix, given, middle, family } = value as Record<string, unknown>;
  const isId = schoolId === null || (isText(schoolId, idLength) && schoolId !== '');
  return (
    isId &&
    isText(className, classLength) &&
    isText(year, classLength) &&
    [prefix, given, middle, family].every((part) => isText(part, nameLength))
  );
}

function isText(value: unknown, most: number): value is string {
  return typeof value === 'string' && value.length <= most;
}
