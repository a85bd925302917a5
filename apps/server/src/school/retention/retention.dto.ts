import { recordKinds, retentionRanges, type ChangeRetention, type RetentionDays } from '@hapset/contract';
import { IsInt, Min, ValidateBy } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

function areDays(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== recordKinds.length) return false;
  const days = value as Readonly<Record<string, unknown>>;
  return recordKinds.every((kind) => {
    const [{ least, most }, chosen] = [retentionRanges[kind], days[kind]];
    return typeof chosen === 'number' && Number.isInteger(chosen) && chosen >= least && chosen <= most;
  });
}

const AreDays = (): PropertyDecorator =>
  ValidateBy({
    name: 'days',
    validator: {
      validate: areDays,
      defaultMessage: () => 'names a whole number of days within its bounds for each kind',
    },
  });

export class ChangeRetentionDto implements ChangeRetention {
  @AreDays() days: RetentionDays;
  @IsInt() @Min(1) version: number;
}
export const sameChangeRetention: Exact<Plain<ChangeRetentionDto>, Plain<ChangeRetention>> = true;
