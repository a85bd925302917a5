import type { SignIn, WelcomeView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { CheckField, TextField } from '../../platform/design/field.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useSignIn, welcomeQuery } from './session.queries.js';
import { t } from '../words.js';

/** The form alone, for the sign-in page and for signing in again over another page. */
export function SignInForm({
  email = '',
  onSignedIn,
}: {
  readonly email?: string;
  readonly onSignedIn: () => void;
}): ReactElement {
  const welcome = useQuery(welcomeQuery).data;
  const demo = welcome?.demo ?? null;
  const signIn = useSignIn();
  const form = useForm<SignIn>({ defaultValues: { email, password: '', keep: false } });
  const send = (request: SignIn): void => signIn.mutate(request, { onSuccess: onSignedIn });
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void form.handleSubmit(send)(event)}>
      <TextField
        label={t('signInForm.eMailAddress')}
        type="email"
        autoComplete="username"
        autoFocus
        {...form.register('email', { required: 'Your e-mail address is needed.' })}
        problem={form.formState.errors.email?.message}
      />
      <TextField
        label={t('signInForm.password')}
        type="password"
        autoComplete="current-password"
        {...form.register('password', { required: t('signInForm.enterYourPassword') })}
        problem={form.formState.errors.password?.message}
      />
      <CheckField
        label={t('signInForm.keepMeSignedInOn')}
        hint={t('signInForm.for30DaysLeaveThis')}
        {...form.register('keep')}
      />
      {welcome?.hasAccounts === false && (
        <p className="m-0 rounded-small bg-marker-soft px-4 py-3 text-row">
          {t('signInForm.thereIsNoAccountYet')} <code className="font-mono">{t('signInForm.npmRunSetupLink')}</code>
        </p>
      )}
      {signIn.isError && <Alert words={wordsFor(signIn.error)} />}
      <Button type="submit" tone="main" disabled={signIn.isPending} className="min-h-11">
        {signIn.isPending ? t('signInForm.signingIn') : t('signInForm.signIn')}
      </Button>
      {demo && <DemoAccount demo={demo} disabled={signIn.isPending} onTake={() => send(demo)} />}
    </form>
  );
}

function DemoAccount({
  demo,
  disabled,
  onTake,
}: {
  readonly demo: NonNullable<WelcomeView['demo']>;
  readonly disabled: boolean;
  readonly onTake: () => void;
}): ReactElement {
  return (
    <div className="rounded-small bg-marker-soft px-4 py-3 text-row">
      <p className="m-0">{t('signInForm.thisIsADemonstrationIts')}</p>
      <dl className="m-0 mt-1 grid grid-cols-[auto_1fr] gap-x-3">
        <dt className="text-muted">{t('signInForm.eMail')}</dt>
        <dd className="m-0 font-semibold break-all">{demo.email}</dd>
        <dt className="text-muted">{t('signInForm.password')}</dt>
        <dd className="m-0 font-semibold whitespace-nowrap">{demo.password}</dd>
      </dl>
      <Button className="mt-2.5 w-full" disabled={disabled} onClick={onTake}>
        {t('signInForm.lookAroundAsMarenDallow')}
      </Button>
    </div>
  );
}
