import { limits, type AddFile, type RenameFile, type ReplaceFile } from '@hapset/contract';
import { IsInt, IsString, IsUUID, MaxLength, MinLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class AddFileDto implements AddFile {
  @IsUUID() uploadId: string;
  @IsString() @MinLength(1) @MaxLength(limits.titleLength) name: string;
}
export const sameAddFile: Exact<Plain<AddFileDto>, Plain<AddFile>> = true;

export class ReplaceFileDto implements ReplaceFile {
  @IsUUID() uploadId: string;
  @IsString() @MinLength(1) @MaxLength(limits.titleLength) name: string;
}
export const sameReplaceFile: Exact<Plain<ReplaceFileDto>, Plain<ReplaceFile>> = true;

export class RenameFileDto implements RenameFile {
  @IsInt() version: number;
  @IsString() @MinLength(1) @MaxLength(limits.titleLength) name: string;
}
export const sameRenameFile: Exact<Plain<RenameFileDto>, Plain<RenameFile>> = true;
