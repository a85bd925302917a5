import { limits, type ChangeLesson, type CreateLesson } from '@hapset/contract';
import {
  IsInt,
  IsISO8601,
  IsNumber,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

const given = (key: keyof CreateLesson) => ValidateIf((body: CreateLessonDto) => body[key] !== null);

export class CreateLessonDto implements CreateLesson {
  @IsText(limits.nameLength) name: string;
  @given('classId') @IsUUID('all') classId: string | null;
  @given('date') @Matches(/^\d{4}-\d{2}-\d{2}$/) @IsISO8601({ strict: true }) date: string | null;
  @given('startsAt') @Matches(/^(?:[01]\d|2[0-3]):[0-5]\d$/) startsAt: string | null;
  @IsString() @MaxLength(limits.placeLength) place: string;
  @IsNumber() @Min(limits.viewingDistanceM.least) @Max(limits.viewingDistanceM.most) viewingDistanceM: number;
}
export const sameCreateLesson: Exact<Plain<CreateLessonDto>, Plain<CreateLesson>> = true;

export class ChangeLessonDto extends CreateLessonDto implements ChangeLesson {
  @IsInt() version: number;
}
export const sameChangeLesson: Exact<Plain<ChangeLessonDto>, Plain<ChangeLesson>> = true;
