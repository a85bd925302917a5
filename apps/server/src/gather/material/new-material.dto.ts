import {
  limits,
  type ChangeMaterial,
  type CreateMaterials,
  type NewMaterial,
  lookChoicePattern,
} from '@hapset/contract';
import {
  addressCarries,
  errorCorrectionLevels,
  linkKinds,
  materialKinds,
  repairKinds,
  type AddressCarry,
  type ErrorCorrectionLevel,
  type Kept,
  type LinkKind,
  type MaterialKind,
  type Repair,
  type RepairKind,
} from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { contentType, type ContentDto } from './content.dto.js';
import { IsText } from '../../platform/problem/is-text.js';

export class RepairDto implements Repair {
  @IsIn(repairKinds) kind: RepairKind;
  @IsString() @MaxLength(limits.linkLength) removed: string;
  @IsString() @MaxLength(limits.linkLength) added: string;
}
export const sameRepair: Exact<Plain<RepairDto>, Plain<Repair>> = true;

export class NewMaterialDto implements NewMaterial {
  @IsOptional() @IsString() @MinLength(1) @MaxLength(limits.linkLength) link?: string;
  @IsOptional() @IsString() @MinLength(1) @MaxLength(limits.wordsLength) words?: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Object, contentType) content?: ContentDto;
  // Read and narrowed by the core, which knows what may stand in it.
  @IsOptional() @IsObject() kept?: Kept;
  @IsString() @MinLength(1) @MaxLength(limits.wordsLength * 2) pasted: string;
  @IsArray()
  @ArrayMaxSize(repairKinds.length)
  @ValidateNested({ each: true })
  @Type(() => RepairDto)
  repairs: RepairDto[];
  @IsOptional() @IsIn(linkKinds) kind?: LinkKind;
  @IsOptional() @IsText(limits.titleLength) title?: string;
  @IsOptional() @IsString() @MaxLength(limits.sawLength) teacherSaw?: string;
  @IsOptional() @IsText(limits.instructionLength) instruction?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(limits.tags)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(limits.tagLength, { each: true })
  tags?: string[];
}
export const sameNewMaterial: Exact<Plain<NewMaterialDto>, Plain<NewMaterial>> = true;

export class CreateMaterialsDto implements CreateMaterials {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(limits.itemsAtOnce)
  @ValidateNested({ each: true })
  @Type(() => NewMaterialDto)
  items: NewMaterialDto[];
}
export const sameCreateMaterials: Exact<Plain<CreateMaterialsDto>, Plain<CreateMaterials>> = true;

export class ChangeMaterialDto implements ChangeMaterial {
  @IsInt() version: number;
  @IsOptional() @IsText(limits.titleLength) title?: string;
  @IsOptional() @IsIn(materialKinds) kind?: MaterialKind;
  @IsOptional() @IsString() @MinLength(1) @MaxLength(limits.linkLength) link?: string;
  @IsOptional() @IsString() @MinLength(1) @MaxLength(limits.wordsLength) words?: string;
  @IsOptional() @IsObject() @ValidateNested() @Type(() => Object, contentType) content?: ContentDto;
  @IsOptional() @IsObject() kept?: Kept;
  @IsOptional() @ValidateIf((_, value) => value !== null) @IsString() @Matches(/^\d{4}-\d{2}-\d{2}$/) shownUntil?:
    string | null;
  @IsOptional() @IsText(limits.instructionLength) instruction?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(limits.tags)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(limits.tagLength, { each: true })
  tags?: string[];
  @IsOptional() @IsIn(addressCarries) carry?: AddressCarry;
  @IsOptional() @ValidateIf((_, value) => value !== null) @Matches(lookChoicePattern) look?: string | null;
  @IsOptional() @IsInt() @Min(limits.codeSizeMm.least) @Max(limits.codeSizeMm.most) sizeMm?: number | null;
  @IsOptional()
  @ValidateIf((_, value) => value !== null)
  @IsIn(errorCorrectionLevels)
  level?: ErrorCorrectionLevel | null;
}
export const sameChangeMaterial: Exact<Plain<ChangeMaterialDto>, Plain<ChangeMaterial>> = true;
