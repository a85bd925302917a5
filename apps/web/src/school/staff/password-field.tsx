/** A new password: it can be looked at while it is typed, and its rule is said before. */
import { limits } from '@hapset/contract';
import { useState, type InputHTMLAttributes, type ReactElement, type Ref } from 'react';
import { CheckField, TextField } from '../../platform/design/field.js';
import { t } from './words.js';

export function NewPasswordField({
  label,
  problem,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & {
  readonly label: string;
  readonly problem: string | undefined;
  readonly ref?: Ref<HTMLInputElement>;
}): ReactElement {
  const [shown, setShown] = useState(false);
  return (
    <div className="flex flex-col gap-1">
      <TextField
        label={label}
        type={shown ? 'text' : 'password'}
        autoComplete="new-password"
        maxLength={limits.passwordLength}
        hint={t('password.hint', { least: limits.leastPassword })}
        problem={problem}
        {...rest}
      />
      <CheckField label={t('password.show')} checked={shown} onChange={() => setShown(!shown)} />
    </div>
  );
}
