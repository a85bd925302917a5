/** Where one-time links lead: a school is set up, a colleague joins, a forgotten password is set. */
import { routes, type AccountLinkKind, type AccountLinkView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useLocation, useNavigate } from 'react-router';
import { call } from '../../platform/api/client.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { Loading } from '../../platform/design/list-states.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { roleWords } from '../staff/role-words.js';
import { t } from '../staff/words.js';
import { JoinForm } from './join-form.js';
import { ResetForm } from './reset-form.js';
import { SetupForm } from './setup-form.js';

const kinds: Readonly<Record<string, AccountLinkKind>> = {
  '/setup': 'setup',
  '/join': 'invitation',
  '/new-password': 'reset',
};

export function AccountLinkPage(): ReactElement {
  const { hash, pathname } = useLocation();
  const [typed, setTyped] = useState('');
  const token = typed === '' ? decodeURIComponent(hash.slice(1)) : typed;
  const link = useQuery({
    queryKey: ['account-link', token],
    queryFn: ({ signal }): Promise<AccountLinkView> => call(routes.accountLink, { body: { token }, signal }),
    enabled: token !== '',
    retry: false,
    staleTime: Infinity,
  });
  if (link.data) return <Found token={token} link={link.data} />;
  return (
    <Frame title={titles[kinds[pathname] ?? 'invitation']} about={t('accountLink.typeTheCode')}>
      {link.isError && <Alert words={wordsFor(link.error)} />}
      {link.isLoading ? <Loading rows={2} label={t('accountLink.looking')} /> : <TypeCode onType={setTyped} />}
    </Frame>
  );
}

const titles: Readonly<Record<AccountLinkKind, string>> = {
  setup: t('accountLink.setup'),
  invitation: t('accountLink.invitation'),
  reset: t('accountLink.reset'),
};

function Found({ token, link }: { readonly token: string; readonly link: AccountLinkView }): ReactElement {
  const navigate = useNavigate();
  const enter = (page: string) => (): void => void navigate(page, { replace: true });
  const { kind, schoolName, role, email } = link;
  if (kind === 'setup')
    return (
      <Frame title={titles.setup} about={t('accountLink.setupAbout')} wide>
        <SetupForm token={token} onEntered={enter('/school/setup')} />
      </Frame>
    );
  if (kind === 'reset')
    return (
      <Frame title={titles.reset} about={t('accountLink.resetAbout', { email: email ?? '' })}>
        <ResetForm token={token} email={email ?? ''} onEntered={enter('/')} />
      </Frame>
    );
  return (
    <Frame
      title={t('accountLink.join', { schoolName })}
      about={t('accountLink.joinAbout', { role: roleWords[role ?? 'teacher'].toLowerCase() })}
    >
      <JoinForm token={token} onEntered={enter('/')} />
    </Frame>
  );
}

function Frame({
  title,
  about,
  wide = false,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly wide?: boolean;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <main
      className={`mx-auto flex min-h-screen ${wide ? 'w-[min(640px,92vw)]' : 'w-[min(400px,92vw)]'} flex-col justify-center py-10`}
    >
      <title>{`${title} · Hapset`}</title>
      <p className="m-0 font-heading text-dialog font-bold">Hapset</p>
      <h1 className="mt-3 mb-0 text-page leading-tight">{title}</h1>
      <p className="mt-1 mb-6 text-body text-muted">{about}</p>
      {children}
    </main>
  );
}

function TypeCode({ onType }: { readonly onType: (token: string) => void }): ReactElement {
  const form = useForm<{ code: string }>({ defaultValues: { code: '' } });
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit(({ code }) => onType(code.trim()))(event)}
    >
      <TextField
        label={t('accountLink.code')}
        hint={t('accountLink.codeHint')}
        autoComplete="one-time-code"
        autoCapitalize="characters"
        spellCheck={false}
        maxLength={40}
        autoFocus
        {...form.register('code', { validate: (value) => value.trim() !== '' || t('accountLink.codeNeeded') })}
        problem={form.formState.errors.code?.message}
      />
      <Button type="submit" tone="main" className="min-h-11">
        {t('accountLink.continue')}
      </Button>
    </form>
  );
}
