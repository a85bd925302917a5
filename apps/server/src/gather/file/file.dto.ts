import { limits, type AddFile, type RenameFile, type ReplaceFile } from '@hapset/contract';
import { IsInt, IsUUID } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class AddFileDto implements AddFile {
  @IsUUID() uploadId: string;
  @IsText(limits.titleLength) name: string;
}
export const sameAddFile: Exact<Plain<AddFileDto>, Plain<AddFile>> = true;

export class ReplaceFileDto implements ReplaceFile {
  @IsUUID() uploadId: string;
  @IsText(limits.titleLength) name: string;
}
export const sameReplaceFile: Exact<Plain<ReplaceFileDto>, Plain<ReplaceFile>> = true;

export class RenameFileDto implements RenameFile {
  @IsInt() version: number;
  @IsText(limits.titleLength) name: string;
}
export const sameRenameFile: Exact<Plain<RenameFileDto>, Plain<RenameFile>> = true;
