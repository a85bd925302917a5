import {
  limits,
  routes,
  type ChangeEmail,
  type ChangeName,
  type SetPassword,
  type SessionView,
} from '@hapset/contract';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { AccountHint } from '../../platform/design/inputs.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { sessionKeys } from '../account/session.queries.js';
import { NewPasswordField } from '../staff/password-field.js';
import { accountProblems } from '../staff/role-words.js';
import { ownAccountQuery } from '../staff/staff.queries.js';
import { t } from '../staff/words.js';

export function NameForm({ name }: { readonly name: string }): ReactElement {
  const form = useForm<ChangeName>({ defaultValues: { name } });
  const change = useAccountChange((body: ChangeName) => call(routes.changeName, { body }), t('accountPage.nameSaved'));
  const problems = problemsOf(change.error);
  return (
    <Form
      title={t('accountPage.name')}
      change={change}
      hasFields={problems.size > 0}
      onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields))(event)}
    >
      <TextField
        label={t('accountPage.yourName')}
        hint={t('accountPage.nameHint')}
        autoComplete="name"
        maxLength={limits.nameLength}
        {...form.register('name', { validate: (value) => value.trim() !== '' || t('account.nameNeeded') })}
        problem={form.formState.errors.name?.message ?? problems.get('name')}
      />
    </Form>
  );
}

export function EmailForm({ email }: { readonly email: string }): ReactElement {
  const form = useForm<ChangeEmail>({ defaultValues: { email } });
  const change = useAccountChange(
    (body: ChangeEmail) => call(routes.changeEmail, { body }),
    t('accountPage.emailSaved'),
  );
  const problems = problemsOf(change.error);
  return (
    <Form
      title={t('accountPage.email')}
      change={change}
      hasFields={problems.size > 0}
      onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields))(event)}
    >
      <TextField
        label={t('accountPage.yourEmail')}
        hint={t('accountPage.emailHint')}
        type="email"
        autoComplete="email"
        maxLength={limits.emailLength}
        {...form.register('email')}
        problem={problems.get('email')}
      />
    </Form>
  );
}

export function PasswordForm({ email }: { readonly email: string }): ReactElement {
  const form = useForm<SetPassword>({ defaultValues: { current: '', password: '' } });
  const change = useAccountChange(
    (body: SetPassword) => call(routes.setPassword, { body }),
    t('accountPage.passwordSaved'),
    () => form.reset(),
  );
  const problems = problemsOf(change.error);
  return (
    <Form
      title={t('accountPage.password')}
      change={change}
      hasFields={problems.size > 0}
      onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields))(event)}
    >
      <AccountHint email={email} />
      <TextField
        label={t('accountPage.currentPassword')}
        type="password"
        autoComplete="current-password"
        maxLength={limits.passwordLength}
        {...form.register('current', { required: t('confirmPassword.enterYourPassword') })}
        problem={form.formState.errors.current?.message ?? problems.get('current')}
      />
      <NewPasswordField
        label={t('accountPage.newPassword')}
        {...form.register('password', { required: t('password.tooShort') })}
        problem={form.formState.errors.password?.message ?? problems.get('password')}
      />
      <p className="m-0 text-note text-muted">{t('accountPage.otherSessionsEnd')}</p>
    </Form>
  );
}

function Form({
  title,
  change,
  hasFields,
  onSubmit,
  children,
}: {
  readonly title: string;
  readonly change: Pick<UseMutationResult, 'isPending' | 'error'>;
  /** Whether what is wrong is said at its fields. */
  readonly hasFields: boolean;
  readonly onSubmit: React.SubmitEventHandler;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <Panel title={title}>
      <form className="flex flex-col gap-3" noValidate onSubmit={onSubmit}>
        {children}
        {change.error !== null && !hasFields && <Alert words={wordsFor(change.error)} />}
        <div>
          <Button type="submit" disabled={change.isPending}>
            {t('accountPage.save')}
          </Button>
        </div>
      </form>
    </Panel>
  );
}

function useAccountChange<Body>(
  send: (body: Body) => Promise<SessionView | null>,
  words: string,
  done: () => void = () => undefined,
): UseMutationResult<SessionView | null, Error, Body> {
  const client = useQueryClient();
  const notice = useNotice();
  return useMutation({
    mutationFn: send,
    onSuccess: async (session) => {
      done();
      notice({ words });
      if (session !== null) client.setQueryData(sessionKeys.session, session);
      await client.invalidateQueries({ queryKey: ownAccountQuery.queryKey });
    },
  });
}

function problemsOf(error: Error | null): ReadonlyMap<string, string> {
  return accountProblems(error instanceof ApiError ? error : null);
}
