import { limits, type AddStations, type ChangeStation, type OrderStations } from '@hapset/contract';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsInt,
  IsNumber,
  IsOptional,
  IsUUID,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { NewMaterialDto } from '../../gather/material/new-material.dto.js';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class AddStationsDto implements AddStations {
  @IsArray()
  @ArrayMaxSize(limits.itemsAtOnce)
  @ValidateNested({ each: true })
  @Type(() => NewMaterialDto)
  items: NewMaterialDto[];
  @IsArray() @ArrayMaxSize(limits.itemsAtOnce) @IsUUID('all', { each: true }) materialIds: string[];
}
export const sameAddStations: Exact<Plain<AddStationsDto>, Plain<AddStations>> = true;

export class OrderStationsDto implements OrderStations {
  @IsArray() @ArrayMaxSize(1000) @ArrayUnique() @IsUUID('all', { each: true }) stationIds: string[];
}
export const sameOrderStations: Exact<Plain<OrderStationsDto>, Plain<OrderStations>> = true;

export class ChangeStationDto implements ChangeStation {
  @IsInt() version: number;
  @IsOptional() @IsText(limits.titleLength) name?: string | null;
  @IsOptional() @IsText(limits.instructionLength) instruction?: string | null;
  @IsOptional() @IsNumber() @Min(limits.viewingDistanceM.least) @Max(limits.viewingDistanceM.most) viewingDistanceM?:
    number | null;
  @IsOptional() @IsInt() @Min(limits.codeSizeMm.least) @Max(limits.codeSizeMm.most) sizeMm?: number | null;
}
export const sameChangeStation: Exact<Plain<ChangeStationDto>, Plain<ChangeStation>> = true;
