import { limits, type MatchShelf, type MaterialsRequest, type TagMaterials } from '@hapset/contract';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsString,
  IsUUID,
  MaxLength,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class MatchShelfDto implements MatchShelf {
  @IsArray()
  @ArrayMaxSize(limits.itemsAtOnce)
  @IsString({ each: true })
  @MaxLength(limits.linkLength, { each: true })
  links: string[];
}
export const sameMatchShelf: Exact<Plain<MatchShelfDto>, Plain<MatchShelf>> = true;

export class MaterialsRequestDto implements MaterialsRequest {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(limits.itemsAtOnce)
  @ArrayUnique()
  @IsUUID('all', { each: true })
  materialIds: string[];
}
export const sameMaterialsRequest: Exact<Plain<MaterialsRequestDto>, Plain<MaterialsRequest>> = true;

export class TagMaterialsDto extends MaterialsRequestDto implements TagMaterials {
  @IsText(limits.tagLength) tag: string;
  @IsBoolean() tagged: boolean;
}
export const sameTagMaterials: Exact<Plain<TagMaterialsDto>, Plain<TagMaterials>> = true;
