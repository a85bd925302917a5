import { limits, type AskedCamera, type AskRehearsal } from '@hapset/contract';
import {
  lightLevels,
  printTechniques,
  readerEngineNames,
  surfaces,
  type LightLevel,
  type PrintTechnique,
  type ReaderEngineName,
  type Scene,
  type Surface,
} from '@hapset/core';
import { Type } from 'class-transformer';
import {
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

const { previewPx, fovDeg, nearestFocusM, blurPx, noiseGrey } = limits.device;

export class AskedCameraDto implements AskedCamera {
  @IsInt() @Min(previewPx.least) @Max(previewPx.most) widthPx: number;
  @IsOptional() @IsInt() @Min(previewPx.least) @Max(previewPx.most) heightPx?: number;
  @IsNumber() @Min(fovDeg.least) @Max(fovDeg.most) fovDeg: number;
  @IsNumber() @Min(0) @Max(blurPx) blurPx: number;
  @IsNumber() @Min(0) @Max(noiseGrey) noise: number;
  @IsIn(readerEngineNames) engine: ReaderEngineName;
  @IsOptional() @IsNumber() @Min(nearestFocusM.least) @Max(nearestFocusM.most) nearestFocusM?: number;
}
export const sameCamera: Exact<Plain<AskedCameraDto>, Plain<AskedCamera>> = true;

export class SceneDto implements Scene {
  @IsIn(printTechniques) technique: PrintTechnique;
  @IsIn(surfaces) surface: Surface;
  @IsIn(lightLevels) light: LightLevel;
  @IsNumber() @Min(0) @Max(0.9) uneven: number;
}
export const sameScene: Exact<Plain<SceneDto>, Plain<Scene>> = true;

export class AskRehearsalDto implements AskRehearsal {
  @IsString() @MinLength(1) @MaxLength(limits.payloadLength) payload: string;
  @IsNumber() @Min(limits.codeSizeMm.least) @Max(limits.codeSizeMm.most) sizeMm: number;
  @IsDefined() @ValidateNested() @Type(() => AskedCameraDto) device: AskedCameraDto;
  @IsOptional() @ValidateNested() @Type(() => SceneDto) scene?: SceneDto;
}
export const sameAskRehearsal: Exact<Plain<AskRehearsalDto>, Plain<AskRehearsal>> = true;
