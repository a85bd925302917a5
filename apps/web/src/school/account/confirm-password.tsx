/** Asks for the password again, over the page, so that nobody can change accounts on an unattended screen. */
import { routes, type ConfirmPassword as Fields } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { answerPasswordRequest } from '../../platform/api/password-request.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { AccountHint } from '../../platform/design/inputs.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../staff/words.js';
import { useSession } from './session.queries.js';

export function ConfirmPassword(): ReactElement {
  const form = useForm<Fields>({ defaultValues: { password: '' } });
  const confirm = useMutation({ mutationFn: (body: Fields) => call(routes.confirmPassword, { body }) });
  const isWrong = confirm.error instanceof ApiError && confirm.error.reason === 'wrong-credentials';
  const cancel = (): void => answerPasswordRequest(false);
  const send = (fields: Fields): void => confirm.mutate(fields, { onSuccess: () => answerPasswordRequest(true) });
  return (
    <Dialog title={t('confirmPassword.title')} about={t('confirmPassword.about')} onClose={cancel}>
      <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void form.handleSubmit(send)(event)}>
        <AccountHint email={useSession()?.email ?? ''} />
        <TextField
          label={t('confirmPassword.password')}
          type="password"
          autoComplete="current-password"
          autoFocus
          {...form.register('password', { required: t('confirmPassword.enterYourPassword') })}
          problem={isWrong ? t('confirmPassword.wrong') : form.formState.errors.password?.message}
        />
        <DialogEnd
          failure={confirm.isError && !isWrong ? wordsFor(confirm.error) : null}
          send={t('confirmPassword.continue')}
          sending={confirm.isPending}
          onCancel={cancel}
        />
      </form>
    </Dialog>
  );
}
