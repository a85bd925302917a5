import { IsText } from '../../platform/problem/is-text.js';
import {
  limits,
  type ChangeStudent,
  type EndYear,
  type ImportRoster,
  type LeaveClass,
  type LeaveStudents,
} from '@hapset/contract';
import { rosterLimits, type NameParts, type YearEndMove } from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsInt,
  IsString,
  IsUUID,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

const { nameLength, idLength, classLength } = rosterLimits;
const fileNameLength = 300;

class NameDto implements NameParts {
  @IsString() @MaxLength(nameLength) prefix: string;
  @IsString() @MaxLength(nameLength) given: string;
  @IsString() @MaxLength(nameLength) middle: string;
  @IsString() @MaxLength(nameLength) family: string;
}

/** Null is no value here but for the id. */
const given = (name: keyof ChangeStudentDto) => ValidateIf((body: ChangeStudentDto) => body[name] !== undefined);

export class ChangeStudentDto implements ChangeStudent {
  @IsInt() version: number;
  @given('className') @IsString() @MaxLength(classLength) className?: string;
  @given('year') @IsString() @MaxLength(classLength) year?: string;
  @given('left') @IsBoolean() left?: boolean;
  @given('name') @ValidateNested() @Type(() => NameDto) name?: NameDto;
  @ValidateIf((body: ChangeStudentDto) => body.schoolId !== undefined && body.schoolId !== null)
  @IsString()
  @MaxLength(idLength)
  schoolId?: string | null;
}
export const sameChangeStudent: Exact<Plain<ChangeStudentDto>, Plain<ChangeStudent>> = true;

export class LeaveClassDto implements LeaveClass {
  @IsText(classLength) className: string;
}
export const sameLeaveClass: Exact<Plain<LeaveClassDto>, Plain<LeaveClass>> = true;

export class LeaveStudentsDto implements LeaveStudents {
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(limits.studentsAtOnce) @IsUUID('all', { each: true }) studentIds: string[];
  @IsBoolean() left: boolean;
}
export const sameLeaveStudents: Exact<Plain<LeaveStudentsDto>, Plain<LeaveStudents>> = true;

class YearEndMoveDto implements YearEndMove {
  @IsText(classLength) className: string;
  @ValidateIf((body: YearEndMoveDto) => body.to !== null) @IsText(classLength) to: string | null;
}

export class EndYearDto implements EndYear {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(limits.classesAtOnce)
  @ArrayUnique(({ className }: YearEndMoveDto) => className)
  @ValidateNested({ each: true })
  @Type(() => YearEndMoveDto)
  moves: YearEndMoveDto[];
}
export const sameEndYear: Exact<Plain<EndYearDto>, Plain<EndYear>> = true;

export class ImportRosterDto implements ImportRoster {
  @IsUUID() rosterComparisonId: string;
  @IsBoolean() leave: boolean;
  @IsString() @MaxLength(fileNameLength) fileName: string;
}
export const sameImportRoster: Exact<Plain<ImportRosterDto>, Plain<ImportRoster>> = true;
