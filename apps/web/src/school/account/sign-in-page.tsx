import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { welcomeQuery } from './session.queries.js';
import { SignInForm } from './sign-in-form.js';
import { t } from '../words.js';

export function SignInPage(): ReactElement {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const school = useQuery(welcomeQuery).data?.schoolName;
  const next = search.get('next') ?? '/';
  return (
    <main className="mx-auto flex min-h-screen w-[min(400px,92vw)] flex-col justify-center py-10">
      <h1 className="m-0 text-cover">Hapset</h1>
      <p className="mt-1 mb-7 text-muted">
        {school ? t('signInPage.codesForTheClassroomsOf', { school }) : t('signInPage.codesForClassrooms')}
      </p>
      <SignInForm
        onSignedIn={() => void navigate(next.startsWith('/') && !next.startsWith('//') ? next : '/', { replace: true })}
      />
    </main>
  );
}
