import { routes } from '@hapset/contract';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { AccountHint } from '../../platform/design/inputs.js';
import { NewPasswordField } from '../staff/password-field.js';
import { t } from '../staff/words.js';
import { EnterEnd } from './enter-end.js';
import { useEntering } from './use-entering.js';

export function ResetForm({
  token,
  email,
  onEntered,
}: {
  readonly token: string;
  readonly email: string;
  readonly onEntered: () => void;
}): ReactElement {
  const form = useForm<{ password: string }>({ defaultValues: { password: '' } });
  const { send, problems, failure } = useEntering(
    ({ password }: { password: string }) => call(routes.resetPassword, { body: { token, password } }),
    onEntered,
  );
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit((fields) => send.mutate(fields))(event)}
    >
      <AccountHint email={email} />
      <NewPasswordField
        label={t('accountPage.newPassword')}
        autoFocus
        {...form.register('password', { required: t('password.tooShort') })}
        problem={form.formState.errors.password?.message ?? problems.get('password')}
      />
      <EnterEnd failure={failure} sending={send.isPending} words={t('accountLink.setPassword')} />
    </form>
  );
}
