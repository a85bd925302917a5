import type { ChangeDevice } from '@hapset/contract';
import { scannerActs, type ScannerAct } from '@hapset/core';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn } from 'class-validator';
import type { Exact, Plain } from '../problem/exact.js';

export class ChangeDeviceDto implements ChangeDevice {
  @IsArray() @ArrayMaxSize(scannerActs.length) @ArrayUnique() @IsIn(scannerActs, { each: true }) actsOn: ScannerAct[];
}
export const sameChangeDevice: Exact<Plain<ChangeDeviceDto>, Plain<ChangeDevice>> = true;
