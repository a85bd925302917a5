import { limits, type ChangeSchool } from '@hapset/contract';
import { paperNames, type DuplexEdge, type PaperFormat } from '@hapset/core';
import { IsIn, IsInt, IsNumber, IsString, IsTimeZone, IsUrl, Matches, Max, MaxLength, Min, MinLength, ValidateBy, ValidateIf } from 'class-validator';
import { isNetwork } from '../visitor/networks.js';
import type { Exact, Plain } from '../problem/exact.js';

export class ChangeSchoolDto implements ChangeSchool {
  @IsString() @MinLength(1) @MaxLength(limits.nameLength) name: string;
  @IsTimeZone() timeZone: string;
  @IsIn(paperNames) paper: PaperFormat;
  @IsNumber() @Min(limits.printerMarginMm.least) @Max(limits.printerMarginMm.most) printerMarginMm: number;
  @IsIn(['long', 'short']) duplexEdge: DuplexEdge;
  @IsNumber() @Min(-limits.duplexShiftMm) @Max(limits.duplexShiftMm) duplexRightMm: number;
  @IsNumber() @Min(-limits.duplexShiftMm) @Max(limits.duplexShiftMm) duplexDownMm: number;
  @IsUrl({ protocols: ['http', 'https'], require_protocol: true, require_tld: false }) @MaxLength(200) publicAddress: string;
  @ValidateIf((body: ChangeSchoolDto) => body.shortLinkHost !== null)
  @Matches(/^[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?(?::\d{1,5})?$/i) @MaxLength(200)
  shortLinkHost: string | null;
  @ValidateBy({ name: 'networks', validator: { validate: (value) => Array.isArray(value) && value.length <= limits.visitorNetworks && value.every(isNetwork) } })
  visitorNetworks: readonly string[];
  @IsInt() version: number;
}
export const sameChangeSchool: Exact<Plain<ChangeSchoolDto>, Plain<ChangeSchool>> = true;
