import { limits, type ChangeSchool, type ChangeTeacherClasses, type TeacherClasses } from '@hapset/contract';
import { paperNames, rosterLimits, type DuplexEdge, type PaperFormat } from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsTimeZone,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { isPublicAddress, isShortHost } from '../../platform/configuration/addresses.js';
import { isNetwork } from '../../platform/configuration/networks.js';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

/** A language in whose way dates and numbers can be written, in the form of BCP 47: "en-GB". */
function isLanguage(tag: string): boolean {
  if (tag.length > limits.languageTag) return false;
  try {
    return Intl.getCanonicalLocales(tag)[0] === tag && Intl.DateTimeFormat.supportedLocalesOf(tag).length === 1;
  } catch {
    return false;
  }
}

export const IsLanguage = (): PropertyDecorator =>
  ValidateBy({ name: 'language', validator: { validate: (value) => typeof value === 'string' && isLanguage(value) } });

const IsPublicAddress = (): PropertyDecorator =>
  ValidateBy({
    name: 'publicAddress',
    validator: { validate: (value) => typeof value === 'string' && isPublicAddress(value) },
  });

export class ChangeSchoolDto implements ChangeSchool {
  @IsText(limits.nameLength) name: string;
  @IsTimeZone() timeZone: string;
  @IsLanguage() language: string;
  @IsIn(paperNames) paper: PaperFormat;
  @IsNumber() @Min(limits.printerMarginMm.least) @Max(limits.printerMarginMm.most) printerMarginMm: number;
  @IsIn(['long', 'short']) duplexEdge: DuplexEdge;
  @IsNumber() @Min(-limits.duplexShiftMm) @Max(limits.duplexShiftMm) duplexRightMm: number;
  @IsNumber() @Min(-limits.duplexShiftMm) @Max(limits.duplexShiftMm) duplexDownMm: number;
  @IsPublicAddress() @MaxLength(limits.addressLength) publicAddress: string;
  @ValidateIf((body: ChangeSchoolDto) => body.shortLinkHost !== null)
  @ValidateBy({ name: 'host', validator: { validate: (value) => typeof value === 'string' && isShortHost(value) } })
  @MaxLength(limits.addressLength)
  shortLinkHost: string | null;
  @ValidateBy({
    name: 'networks',
    validator: {
      validate: (value) => Array.isArray(value) && value.length <= limits.visitorNetworks && value.every(isNetwork),
    },
  })
  visitorNetworks: readonly string[];
  @IsString() @MaxLength(limits.cardReturnToLength) cardReturnTo: string;
  @IsBoolean() studentPhotos: boolean;
  @IsInt() version: number;
}
export const sameChangeSchool: Exact<Plain<ChangeSchoolDto>, Plain<ChangeSchool>> = true;

class TeacherClassesDto implements TeacherClasses {
  @IsUUID() accountId: string;
  @IsArray()
  @ArrayMaxSize(500)
  @IsString({ each: true })
  @MaxLength(rosterLimits.classLength, { each: true })
  classNames: string[];
}

export class ChangeTeacherClassesDto implements ChangeTeacherClasses {
  @ValidateIf((body: ChangeTeacherClassesDto) => body.limited !== null)
  @IsArray()
  @ArrayMaxSize(1000)
  @ValidateNested({ each: true })
  @Type(() => TeacherClassesDto)
  limited: TeacherClassesDto[] | null;
}
export const sameChangeTeacherClasses: Exact<Plain<ChangeTeacherClassesDto>, Plain<ChangeTeacherClasses>> = true;
