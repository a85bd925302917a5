import { limits, type ChangeDevice, type CreateDevice } from '@hapset/contract';
import { readerEngineNames, scannerActs, type ReaderEngineName, type ScannerAct } from '@hapset/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import type { Exact, Plain } from '../problem/exact.js';

const { previewPx, fovDeg, nearestFocusM, blurPx, noiseGrey, deviceCount } = limits.device;

export class CreateDeviceDto implements CreateDevice {
  @IsString() @MinLength(1) @MaxLength(limits.nameLength) name: string;
  @ValidateIf((body: CreateDeviceDto) => body.count !== null) @IsInt() @Min(1) @Max(deviceCount) count: number | null;
  @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewWidthPx: number;
  @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewHeightPx: number;
  @IsNumber() @Min(fovDeg.least) @Max(fovDeg.most) horizontalFovDeg: number;
  @IsNumber() @Min(nearestFocusM.least) @Max(nearestFocusM.most) nearestFocusM: number;
  @IsNumber() @Min(0) @Max(blurPx) blurPx: number;
  @IsNumber() @Min(0) @Max(noiseGrey) noiseGrey: number;
  @ValidateIf((body: CreateDeviceDto) => body.jpegQuality !== null) @IsInt() @Min(1) @Max(100) jpegQuality: number | null;
  @IsIn(readerEngineNames) engine: ReaderEngineName;
  @IsArray() @ArrayMaxSize(scannerActs.length) @ArrayUnique() @IsIn(scannerActs, { each: true }) actsOn: readonly ScannerAct[];
}
export const sameCreateDevice: Exact<Plain<CreateDeviceDto>, Plain<CreateDevice>> = true;

export class ChangeDeviceDto implements ChangeDevice {
  @IsOptional() @IsString() @MinLength(1) @MaxLength(limits.nameLength) name?: string;
  @IsOptional() @IsInt() @Min(1) @Max(deviceCount) count?: number | null;
  @IsOptional() @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewWidthPx?: number;
  @IsOptional() @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewHeightPx?: number;
  @IsOptional() @IsNumber() @Min(fovDeg.least) @Max(fovDeg.most) horizontalFovDeg?: number;
  @IsOptional() @IsNumber() @Min(nearestFocusM.least) @Max(nearestFocusM.most) nearestFocusM?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(blurPx) blurPx?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(noiseGrey) noiseGrey?: number;
  @IsOptional() @IsInt() @Min(1) @Max(100) jpegQuality?: number | null;
  @IsOptional() @IsIn(readerEngineNames) engine?: ReaderEngineName;
  @IsOptional() @IsArray() @ArrayMaxSize(scannerActs.length) @ArrayUnique() @IsIn(scannerActs, { each: true }) actsOn?: readonly ScannerAct[];
}
export const sameChangeDevice: Exact<Plain<ChangeDeviceDto>, Plain<ChangeDevice>> = true;
