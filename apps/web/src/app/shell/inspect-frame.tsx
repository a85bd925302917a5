/** What is around the inspection: the staff's tabs, or for visitors the school's name alone. */
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link, Outlet } from 'react-router';
import { useSession, welcomeQuery } from '../../school/account/session.queries.js';
import { Shell } from './shell.js';
import { t } from '../words.js';

export function InspectFrame(): ReactElement {
  return useSession() ? <Shell /> : <VisitorFrame />;
}

function VisitorFrame(): ReactElement {
  const school = useQuery(welcomeQuery).data?.schoolName;
  return (
    <div className="min-h-screen">
      <header className="flex min-h-12 items-center gap-4 bg-band px-4 sm:px-7">
        <span className="font-heading text-part font-bold">{school ?? 'Hapset'}</span>
        <Link
          to="/sign-in?next=/inspect"
          className="ml-auto flex min-h-9 items-center text-row font-semibold text-ink/80"
        >
          {t('inspectFrame.signIn')}
        </Link>
      </header>
      <main className="mx-auto w-full max-w-[860px] px-4 pt-4 pb-16 sm:px-7">
        <Outlet />
      </main>
    </div>
  );
}
