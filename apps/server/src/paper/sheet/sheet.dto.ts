import {
  limits,
  sheetWarnings,
  type ChangeSheetTemplate,
  type CreateSheetTemplate,
  type MakePrint,
  type MakeSheet,
  type PreviewSheets,
  type SheetChoices,
  type SheetPlaces,
  type SheetWarning,
  type UsualSheetTemplate,
} from '@hapset/contract';
import {
  composedKinds,
  faceFields,
  faceLayouts,
  paperNames,
  sheetKinds,
  type FaceField,
  type FaceLayoutName,
  type HeaderPicture,
  type LabelGrid,
  type PaperFormat,
  type SheetKind,
} from '@hapset/core';
import { languages } from '@hapset/student-texts';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsDefined,
  IsHexColor,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

const phraseTags = languages.map(({ tag }) => tag);
const { viewingDistanceM, headerPicture } = limits;
/** More than any paper has. */
const longestMm = 500;

export class MakeSheetDto implements MakeSheet {
  @IsIn(['poster']) kind: 'poster';
  @IsIn(paperNames) paper: PaperFormat;
  @IsArray() @ArrayMaxSize(sheetWarnings.length) @IsIn(sheetWarnings, { each: true }) goAhead: SheetWarning[];
}
export const sameMakeSheet: Exact<Plain<MakeSheetDto>, Plain<MakeSheet>> = true;

class PlacesDto implements SheetPlaces {
  @ValidateIf((body: PlacesDto) => body.lessonId !== null) @IsUUID() lessonId: string | null;
  @IsArray() @ArrayMaxSize(limits.itemsAtOnce) @ArrayUnique() @IsUUID('all', { each: true }) stationIds: string[];
  @IsArray() @ArrayMaxSize(limits.itemsAtOnce) @ArrayUnique() @IsUUID('all', { each: true }) materialIds: string[];
  @ValidateIf((body: PlacesDto) => body.tag !== null) @IsText(limits.tagLength) tag: string | null;
}

class LabelGridDto implements LabelGrid {
  @IsInt() @Min(1) @Max(20) columns: number;
  @IsInt() @Min(1) @Max(40) rows: number;
  @IsNumber() @Min(1) @Max(longestMm) widthMm: number;
  @IsNumber() @Min(1) @Max(longestMm) heightMm: number;
  @IsNumber() @Min(0) @Max(longestMm) leftMm: number;
  @IsNumber() @Min(0) @Max(longestMm) topMm: number;
  @IsNumber() @Min(1) @Max(longestMm) pitchXMm: number;
  @IsNumber() @Min(1) @Max(longestMm) pitchYMm: number;
}

class ChoicesDto implements SheetChoices {
  @IsIn(composedKinds) kind: SheetKind;
  @IsIn(paperNames) paper: PaperFormat;
  @IsBoolean() lying: boolean;
  @IsInt() @Min(0) @Max(60) perPage: number;
  @IsBoolean() inColumns: boolean;
  @IsDefined() @ValidateNested() @Type(() => LabelGridDto) labels: LabelGridDto;
  @IsInt() @Min(0) @Max(800) startAt: number;
  @IsInt() @Min(1) @Max(limits.sheetCopies) copies: number;
  @IsArray() @ArrayMaxSize(faceFields.length) @ArrayUnique() @IsIn(faceFields, { each: true }) fields: FaceField[];
  @IsBoolean() picture: boolean;
  @IsBoolean() backs: boolean;
  @ValidateIf((body: ChoicesDto) => body.distanceM !== null)
  @IsNumber()
  @Min(viewingDistanceM.least)
  @Max(viewingDistanceM.most)
  distanceM: number | null;
  @IsIn(['sc', 'jp']) han: 'sc' | 'jp';
  @ValidateIf((body: ChoicesDto) => body.templateId !== null) @IsUUID() templateId: string | null;
  @ValidateIf((body: ChoicesDto) => body.layout !== null) @IsIn(faceLayouts) layout: FaceLayoutName | null;
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(2) @ArrayUnique() @IsIn(phraseTags, { each: true }) languages: string[];
}

export class PreviewSheetsDto implements PreviewSheets {
  @IsDefined() @ValidateNested() @Type(() => PlacesDto) places: PlacesDto;
  @IsDefined() @ValidateNested() @Type(() => ChoicesDto) choices: ChoicesDto;
  @IsInt() @Min(0) @Max(20_000) page: number;
}
export const samePreviewSheets: Exact<Plain<PreviewSheetsDto>, Plain<PreviewSheets>> = true;

export class MakePrintDto implements MakePrint {
  @IsDefined() @ValidateNested() @Type(() => PlacesDto) places: PlacesDto;
  @IsDefined() @ValidateNested() @Type(() => ChoicesDto) choices: ChoicesDto;
  @IsArray() @ArrayMaxSize(sheetWarnings.length) @IsIn(sheetWarnings, { each: true }) goAhead: SheetWarning[];
}
export const sameMakePrint: Exact<Plain<MakePrintDto>, Plain<MakePrint>> = true;

class HeaderPictureDto implements HeaderPicture {
  @IsUUID() pictureId: string;
  @IsNumber() @Min(headerPicture.aspect.least) @Max(headerPicture.aspect.most) aspect: number;
  @IsNumber() @Min(headerPicture.heightMm.least) @Max(headerPicture.heightMm.most) heightMm: number;
}

class TemplateDto {
  @IsText(limits.lookNameLength) name: string;
  @IsHexColor() @Matches(/^#[0-9a-f]{6}$/i) accent: string;
  @ValidateIf((body: TemplateDto) => body.header !== null)
  @ValidateNested()
  @Type(() => HeaderPictureDto)
  header: HeaderPictureDto | null;
  @ValidateIf((body: TemplateDto) => body.layout !== null) @IsIn(faceLayouts) layout: FaceLayoutName | null;
  @IsString() @MaxLength(limits.sheetFooterLength) footer: string;
  @ValidateIf((body: TemplateDto) => body.labels !== null)
  @ValidateNested()
  @Type(() => LabelGridDto)
  labels: LabelGridDto | null;
}

export class CreateSheetTemplateDto extends TemplateDto implements CreateSheetTemplate {
  @IsIn(sheetKinds) kind: SheetKind;
}
export const sameCreateSheetTemplate: Exact<Plain<CreateSheetTemplateDto>, Plain<CreateSheetTemplate>> = true;

export class ChangeSheetTemplateDto extends TemplateDto implements ChangeSheetTemplate {
  @IsInt() version: number;
}
export const sameChangeSheetTemplate: Exact<Plain<ChangeSheetTemplateDto>, Plain<ChangeSheetTemplate>> = true;

export class UsualSheetTemplateDto implements UsualSheetTemplate {
  @IsBoolean() usual: boolean;
}
export const sameUsualSheetTemplate: Exact<Plain<UsualSheetTemplateDto>, Plain<UsualSheetTemplate>> = true;
