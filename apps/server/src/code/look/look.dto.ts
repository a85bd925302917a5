import {
  limits,
  lookMakers,
  type AllowLook,
  type AddLookPicture,
  type ChangeLook,
  type ChooseLook,
  type CreateLook,
  type LookMakers,
  type LookRules,
  lookChoicePattern,
} from '@hapset/contract';
import type { LookDesign } from '@hapset/core';
import { IsBoolean, IsIn, IsInt, IsObject, IsUUID, Matches, ValidateIf } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class CreateLookDto implements CreateLook {
  @IsText(limits.lookNameLength) name: string;
  // Read value by value by the core.
  @IsObject() design: LookDesign;
}
export const sameCreateLook: Exact<Plain<CreateLookDto>, Plain<CreateLook>> = true;

export class ChangeLookDto extends CreateLookDto implements ChangeLook {
  @IsInt() version: number;
}
export const sameChangeLook: Exact<Plain<ChangeLookDto>, Plain<ChangeLook>> = true;

export class AllowLookDto implements AllowLook {
  @IsBoolean() allowed: boolean;
}
export const sameAllowLook: Exact<Plain<AllowLookDto>, Plain<AllowLook>> = true;

export class LookRulesDto implements LookRules {
  @ValidateIf((body: LookRulesDto) => body.defaultLookId !== null) @IsUUID('all') defaultLookId: string | null;
  @IsIn(lookMakers) madeBy: LookMakers;
}
export const sameLookRules: Exact<Plain<LookRulesDto>, Plain<LookRules>> = true;

export class AddLookPictureDto implements AddLookPicture {
  @IsUUID('all') uploadId: string;
}
export const sameAddLookPicture: Exact<Plain<AddLookPictureDto>, Plain<AddLookPicture>> = true;

export class ChooseLookDto implements ChooseLook {
  @ValidateIf((body: ChooseLookDto) => body.look !== null) @Matches(lookChoicePattern) look: string | null;
}
export const sameChooseLook: Exact<Plain<ChooseLookDto>, Plain<ChooseLook>> = true;
