import { limits, type ChangeDevice, type CreateDevice } from '@hapset/contract';
import {
  mediaFormats,
  readerEngineNames,
  scannerActs,
  type MediaFormat,
  type ReaderEngineName,
  type ScannerAct,
} from '@hapset/core';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

/** Left out it stays as it is; null is no value for it. */
const IfGiven = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

const { previewPx, fovDeg, nearestFocusM, blurPx, noiseGrey, deviceCount } = limits.device;

export class CreateDeviceDto implements CreateDevice {
  @IsText(limits.nameLength) name: string;
  @ValidateIf((body: CreateDeviceDto) => body.count !== null) @IsInt() @Min(1) @Max(deviceCount) count: number | null;
  @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewWidthPx: number;
  @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewHeightPx: number;
  @IsNumber() @Min(fovDeg.least) @Max(fovDeg.most) horizontalFovDeg: number;
  @IsNumber() @Min(nearestFocusM.least) @Max(nearestFocusM.most) nearestFocusM: number;
  @IsNumber() @Min(0) @Max(blurPx) blurPx: number;
  @IsNumber() @Min(0) @Max(noiseGrey) noiseGrey: number;
  @ValidateIf((body: CreateDeviceDto) => body.jpegQuality !== null) @IsInt() @Min(1) @Max(100) jpegQuality:
    number | null;
  @IsIn(readerEngineNames) engine: ReaderEngineName;
  @IsArray()
  @ArrayMaxSize(scannerActs.length)
  @ArrayUnique()
  @IsIn(scannerActs, { each: true })
  actsOn: readonly ScannerAct[];
  @IsArray()
  @ArrayMaxSize(mediaFormats.length)
  @ArrayUnique()
  @IsIn(mediaFormats, { each: true })
  plays: readonly MediaFormat[];
}
export const sameCreateDevice: Exact<Plain<CreateDeviceDto>, Plain<CreateDevice>> = true;

export class ChangeDeviceDto implements ChangeDevice {
  @IfGiven() @IsText(limits.nameLength) name?: string;
  @IsOptional() @IsInt() @Min(1) @Max(deviceCount) count?: number | null;
  @IfGiven() @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewWidthPx?: number;
  @IfGiven() @IsInt() @Min(previewPx.least) @Max(previewPx.most) previewHeightPx?: number;
  @IfGiven() @IsNumber() @Min(fovDeg.least) @Max(fovDeg.most) horizontalFovDeg?: number;
  @IfGiven() @IsNumber() @Min(nearestFocusM.least) @Max(nearestFocusM.most) nearestFocusM?: number;
  @IfGiven() @IsNumber() @Min(0) @Max(blurPx) blurPx?: number;
  @IfGiven() @IsNumber() @Min(0) @Max(noiseGrey) noiseGrey?: number;
  @IsOptional() @IsInt() @Min(1) @Max(100) jpegQuality?: number | null;
  @IfGiven() @IsIn(readerEngineNames) engine?: ReaderEngineName;
  @IfGiven()
  @IsArray()
  @ArrayMaxSize(scannerActs.length)
  @ArrayUnique()
  @IsIn(scannerActs, { each: true })
  actsOn?: readonly ScannerAct[];
  @IfGiven()
  @IsArray()
  @ArrayMaxSize(mediaFormats.length)
  @ArrayUnique()
  @IsIn(mediaFormats, { each: true })
  plays?: readonly MediaFormat[];
}
export const sameChangeDevice: Exact<Plain<ChangeDeviceDto>, Plain<ChangeDevice>> = true;
