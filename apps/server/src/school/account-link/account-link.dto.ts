import {
  limits,
  type AccountLinkToken,
  type CreateAccount,
  type NewSchool,
  type ResetPassword,
} from '@hapset/contract';
import { paperNames, type PaperFormat } from '@hapset/core';
import { Type } from 'class-transformer';
import { IsEmail, IsIn, IsString, IsTimeZone, MaxLength, MinLength, ValidateIf, ValidateNested } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';
import { IsLanguage } from '../settings/change-school.dto.js';

export class AccountLinkTokenDto implements AccountLinkToken {
  @IsString() @MinLength(1) @MaxLength(limits.accountTokenLength) token: string;
}
export const sameAccountLinkToken: Exact<Plain<AccountLinkTokenDto>, Plain<AccountLinkToken>> = true;

class NewSchoolDto implements NewSchool {
  @IsText(limits.nameLength) name: string;
  @IsLanguage() language: string;
  @IsTimeZone() timeZone: string;
  @IsIn(paperNames) paper: PaperFormat;
}

export class CreateAccountDto extends AccountLinkTokenDto implements CreateAccount {
  @IsText(limits.nameLength) name: string;
  @IsText(limits.emailLength) @IsEmail() email: string;
  @IsString() @MaxLength(limits.passwordLength) password: string;
  @ValidateIf((body: CreateAccountDto) => body.school !== null)
  @ValidateNested()
  @Type(() => NewSchoolDto)
  school: NewSchoolDto | null;
}
export const sameCreateAccount: Exact<Plain<CreateAccountDto>, Plain<CreateAccount>> = true;

export class ResetPasswordDto extends AccountLinkTokenDto implements ResetPassword {
  @IsString() @MaxLength(limits.passwordLength) password: string;
}
export const sameResetPassword: Exact<Plain<ResetPasswordDto>, Plain<ResetPassword>> = true;
