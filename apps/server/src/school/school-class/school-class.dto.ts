import { limits, type ChangeSchoolClass, type CreateSchoolClass } from '@hapset/contract';
import { studentAccounts, type StudentAccounts } from '@hapset/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsInt, IsUUID } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class CreateSchoolClassDto implements CreateSchoolClass {
  @IsText(limits.nameLength) name: string;
  @IsIn(studentAccounts) studentAccounts: StudentAccounts;
  @IsArray() @ArrayMaxSize(100) @ArrayUnique() @IsUUID('all', { each: true }) deviceIds: string[];
}
export const sameCreateSchoolClass: Exact<Plain<CreateSchoolClassDto>, Plain<CreateSchoolClass>> = true;

export class ChangeSchoolClassDto extends CreateSchoolClassDto implements ChangeSchoolClass {
  @IsInt() version: number;
}
export const sameChangeSchoolClass: Exact<Plain<ChangeSchoolClassDto>, Plain<ChangeSchoolClass>> = true;
