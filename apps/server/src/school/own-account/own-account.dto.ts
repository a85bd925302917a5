import { limits, type ChangeEmail, type ChangeName, type SetPassword } from '@hapset/contract';
import { IsEmail, IsString, MaxLength, MinLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';
import { IsText } from '../../platform/problem/is-text.js';

export class ChangeNameDto implements ChangeName {
  @IsText(limits.nameLength) name: string;
}
export const sameChangeName: Exact<Plain<ChangeNameDto>, Plain<ChangeName>> = true;

export class ChangeEmailDto implements ChangeEmail {
  @IsText(limits.emailLength) @IsEmail() email: string;
}
export const sameChangeEmail: Exact<Plain<ChangeEmailDto>, Plain<ChangeEmail>> = true;

export class SetPasswordDto implements SetPassword {
  @IsString() @MinLength(1) @MaxLength(limits.passwordLength) current: string;
  @IsString() @MaxLength(limits.passwordLength) password: string;
}
export const sameSetPassword: Exact<Plain<SetPasswordDto>, Plain<SetPassword>> = true;
