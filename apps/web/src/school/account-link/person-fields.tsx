import { limits } from '@hapset/contract';
import type { ReactElement } from 'react';
import type { FieldErrors, UseFormRegister } from 'react-hook-form';
import { TextField } from '../../platform/design/field.js';
import { NewPasswordField } from '../staff/password-field.js';
import { t } from '../staff/words.js';

/** Who the account is of. */
export interface Person {
  name: string;
  email: string;
  password: string;
}

export const nobody: Person = { name: '', email: '', password: '' };

export function PersonFields({
  register,
  errors,
  problems,
}: {
  readonly register: UseFormRegister<Person>;
  readonly errors: FieldErrors<Person>;
  readonly problems: ReadonlyMap<string, string>;
}): ReactElement {
  return (
    <>
      <TextField
        label={t('account.yourName')}
        autoComplete="name"
        maxLength={limits.nameLength}
        {...register('name', { validate: (value) => value.trim() !== '' || t('account.nameNeeded') })}
        problem={errors.name?.message ?? problems.get('name')}
      />
      <TextField
        label={t('account.email')}
        hint={t('account.emailHint')}
        type="email"
        autoComplete="username"
        maxLength={limits.emailLength}
        {...register('email', { required: t('account.emailWrong') })}
        problem={errors.email?.message ?? problems.get('email')}
      />
      <NewPasswordField
        label={t('account.password')}
        {...register('password', { required: t('password.tooShort') })}
        problem={errors.password?.message ?? problems.get('password')}
      />
    </>
  );
}
