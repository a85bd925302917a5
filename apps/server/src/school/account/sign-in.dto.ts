import { limits, type ConfirmPassword, type SignIn } from '@hapset/contract';
import { IsBoolean, IsOptional, IsString, MaxLength, MinLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class SignInDto implements SignIn {
  @IsString() @MinLength(1) @MaxLength(limits.emailLength) email: string;
  @IsString() @MinLength(1) @MaxLength(limits.passwordLength) password: string;
  @IsOptional() @IsBoolean() keep?: boolean;
}
export const sameSignIn: Exact<Plain<SignInDto>, Plain<SignIn>> = true;

export class ConfirmPasswordDto implements ConfirmPassword {
  @IsString() @MinLength(1) @MaxLength(limits.passwordLength) password: string;
}
export const sameConfirmPassword: Exact<Plain<ConfirmPasswordDto>, Plain<ConfirmPassword>> = true;
