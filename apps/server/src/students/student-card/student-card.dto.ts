import {
  cardBands,
  cardFields,
  limits,
  type CardBand,
  type CardField,
  type CardsRequest,
  type EraseStudents,
  type MakeCards,
  type PreviewCards,
  type ReadCard,
} from '@hapset/contract';
import {
  cardCodes,
  cardDesigns,
  paperNames,
  perPageChoices,
  rosterLimits,
  type CardCode,
  type CardDesign,
  type PaperFormat,
} from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsDefined,
  IsIn,
  IsISO8601,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

class CardsRequestDto implements CardsRequest {
  @IsArray()
  @ArrayMaxSize(200)
  @IsString({ each: true })
  @MaxLength(rosterLimits.classLength, { each: true })
  classNames: string[];
  @IsArray() @ArrayMaxSize(rosterLimits.students) @ArrayUnique() @IsUUID('all', { each: true }) studentIds: string[];
  @IsBoolean() onlyNew: boolean;
  @IsIn(cardCodes) code: CardCode;
  @IsIn(cardDesigns) design: CardDesign;
  @IsIn(cardBands) band: CardBand;
  @IsBoolean() newPagePerClass: boolean;
  @IsString() @MaxLength(limits.schoolYearLength) schoolYear: string;
  @ValidateIf((body: CardsRequestDto) => body.validUntil !== null)
  @IsISO8601({ strict: true })
  @MaxLength(10)
  validUntil: string | null;
  @IsIn(perPageChoices['student-card']) perPage: number;
  @IsIn(paperNames) paper: PaperFormat;
  @IsArray() @ArrayMaxSize(cardFields.length) @ArrayUnique() @IsIn(cardFields, { each: true }) fields: CardField[];
  @ValidateIf((body: CardsRequestDto) => body.symbol !== null) @IsString() @Matches(/^[a-z0-9-]{1,40}$/) symbol:
    string | null;
  @IsBoolean() backs: boolean;
  @ValidateIf((body: CardsRequestDto) => body.templateId !== null) @IsUUID() templateId: string | null;
}

export class PreviewCardsDto implements PreviewCards {
  @IsDefined() @ValidateNested() @Type(() => CardsRequestDto) request: CardsRequestDto;
  @IsInt() @Min(0) @Max(20_000) page: number;
}
export const samePreviewCards: Exact<Plain<PreviewCardsDto>, Plain<PreviewCards>> = true;

export class MakeCardsDto implements MakeCards {
  @IsDefined() @ValidateNested() @Type(() => CardsRequestDto) request: CardsRequestDto;
}
export const sameMakeCards: Exact<Plain<MakeCardsDto>, Plain<MakeCards>> = true;

export class ReadCardDto implements ReadCard {
  @IsString() @MaxLength(limits.payloadLength) text: string;
  @IsOptional() @IsBoolean() typed?: boolean;
  @IsOptional() @IsInt() @Min(0) @Max(limits.cardWaitMs) waitedMs?: number;
}
export const sameReadCard: Exact<Plain<ReadCardDto>, Plain<ReadCard>> = true;

export class EraseStudentsDto implements EraseStudents {
  @ValidateIf((body: EraseStudentsDto) => body.className !== null)
  @IsString()
  @MinLength(1)
  @MaxLength(rosterLimits.classLength)
  className: string | null;
}
export const sameEraseStudents: Exact<Plain<EraseStudentsDto>, Plain<EraseStudents>> = true;
