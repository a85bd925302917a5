import { limits, roles, type ChangeStaff, type HandOver, type Invite, type Role } from '@hapset/contract';
import { IsBoolean, IsIn, IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class InviteDto implements Invite {
  @IsIn(roles) role: Role;
  @IsString() @MaxLength(limits.nameLength) note: string;
}
export const sameInvite: Exact<Plain<InviteDto>, Plain<Invite>> = true;

export class ChangeStaffDto implements ChangeStaff {
  @IsOptional() @IsIn(roles) role?: Role;
  @IsOptional() @IsBoolean() active?: boolean;
}
export const sameChangeStaff: Exact<Plain<ChangeStaffDto>, Plain<ChangeStaff>> = true;

export class HandOverDto implements HandOver {
  @IsUUID() toAccountId: string;
}
export const sameHandOver: Exact<Plain<HandOverDto>, Plain<HandOver>> = true;
