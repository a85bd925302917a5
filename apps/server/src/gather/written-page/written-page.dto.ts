import type { SaveWrittenPage } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import { IsBoolean, IsInt, IsObject } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class SaveWrittenPageDto implements SaveWrittenPage {
  @IsInt() version: number;
  // Read and narrowed by the core, which knows what a page may hold.
  @IsObject() document: PageDocument;
  @IsBoolean() over: boolean;
}
export const sameSaveWrittenPage: Exact<Plain<SaveWrittenPageDto>, Plain<SaveWrittenPage>> = true;
