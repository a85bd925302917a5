import { type ChangeStudent, type CompareRoster, type ImportRoster, type LeaveClass, type RosterStudentWish } from '@hapset/contract';
import { rosterLimits, type NameParts } from '@hapset/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsInt, IsString, MaxLength, MinLength, ValidateBy, ValidateIf, ValidateNested } from 'class-validator';
import type { Exact, Plain } from '../problem/exact.js';

const { nameLength, idLength, classLength, students } = rosterLimits;

class NameDto implements NameParts {
  @IsString() @MaxLength(nameLength) prefix: string;
  @IsString() @MaxLength(nameLength) given: string;
  @IsString() @MaxLength(nameLength) middle: string;
  @IsString() @MaxLength(nameLength) family: string;
}

/** By hand: five thousand nested objects would keep the whole server waiting in the general validator. */
function isRosterStudent(value: unknown): value is RosterStudentWish {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 7) return false;
  const { schoolId, className, year, prefix, given, middle, family } = value as Record<string, unknown>;
  const isText = (text: unknown, most: number): boolean => typeof text === 'string' && text.length <= most;
  return (
    (schoolId === null || (isText(schoolId, idLength) && schoolId !== '')) &&
    isText(className, classLength) &&
    isText(year, classLength) &&
    [prefix, given, middle, family].every((part) => isText(part, nameLength))
  );
}

const AreRosterStudents = (): PropertyDecorator => ValidateBy({ name: 'rosterStudents', validator: { validate: (value) => Array.isArray(value) && value.every(isRosterStudent), defaultMessage: () => 'students must be students as a roster has them' } });

export class CompareRosterDto implements CompareRoster {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(students) @AreRosterStudents() students: readonly RosterStudentWish[];
}
export const sameCompareRoster: Exact<Plain<CompareRosterDto>, Plain<CompareRoster>> = true;

export class ImportRosterDto extends CompareRosterDto implements ImportRoster {
  @IsBoolean() leave: boolean;
  @IsString() @MaxLength(300) fileName: string;
}
export const sameImportRoster: Exact<Plain<ImportRosterDto>, Plain<ImportRoster>> = true;

/** Null is no value here but for the id. */
const given = (name: keyof ChangeStudentDto) => ValidateIf((body: ChangeStudentDto) => body[name] !== undefined);

export class ChangeStudentDto implements ChangeStudent {
  @IsInt() version: number;
  @given('className') @IsString() @MaxLength(classLength) className?: string;
  @given('year') @IsString() @MaxLength(classLength) year?: string;
  @given('left') @IsBoolean() left?: boolean;
  @given('name') @ValidateNested() @Type(() => NameDto) name?: NameDto;
  @ValidateIf((body: ChangeStudentDto) => body.schoolId !== undefined && body.schoolId !== null) @IsString() @MaxLength(idLength) schoolId?: string | null;
}
export const sameChangeStudent: Exact<Plain<ChangeStudentDto>, Plain<ChangeStudent>> = true;

export class LeaveClassDto implements LeaveClass {
  @IsString() @MinLength(1) @MaxLength(classLength) className: string;
}
export const sameLeaveClass: Exact<Plain<LeaveClassDto>, Plain<LeaveClass>> = true;
