import { lazy, Suspense, useEffect, useRef, useState, type ReactElement } from 'react';
import { NavLink, Outlet, useNavigate } from 'react-router';
import { onSessionWanted } from '../../platform/api/session-renewal.js';
import { useLiveChecks } from '../live/use-live-checks.js';
import { SearchDialog } from './search-dialog.js';
import { ServerAway } from './server-away.js';
import { useSession, useSignOut } from '../../school/account/session.queries.js';

// Dialogs and forms are needed by few pages at first; they come when they are.
const KeysHelp = lazy(() => import('./keys-help.js').then(({ KeysHelp: component }) => ({ default: component })));
const SignInAgain = lazy(() =>
  import('../../school/account/sign-in-again.js').then(({ SignInAgain: component }) => ({ default: component })),
);

const tabs = [
  ['/lessons', 'Lessons'],
  ['/shelf', 'Shelf'],
  ['/devices', 'Devices'],
  ['/school', 'School'],
] as const;

/** The paper with its index tabs: what stands around every page of the staff. */
export function Shell(): ReactElement {
  const session = useSession();
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [searching, setSearching] = useState(false);
  useFindKey(() => setSearching(true));
  useLiveChecks();
  return (
    <div className="min-h-screen">
      <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the content
      </a>
      <div className="flex min-h-12 flex-wrap items-end gap-x-2 bg-band px-3 pt-1.5 sm:px-7">
        <NavLink to="/" className="mr-3 self-center font-heading text-dialog font-bold text-ink no-underline">
          Hapset
        </NavLink>
        <nav aria-label="Parts" className="order-last flex w-full overflow-x-auto sm:order-none sm:w-auto">
          {tabs.map(([to, label]) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                `flex min-h-10 items-center rounded-t-[10px] px-[18px] text-body font-semibold no-underline ${isActive ? 'bg-paper text-ink' : 'text-ink/75 hover:text-ink'}`
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-1 self-center text-row">
          <button
            type="button"
            onClick={() => setSearching(true)}
            className="flex min-h-9 items-center gap-2 rounded-small px-2.5 text-ink/80 hover:bg-ink/5"
          >
            Find{' '}
            <kbd className="hidden rounded-fine border border-line-strong bg-sheet px-1.5 font-mono text-fine sm:inline">
              /
            </kbd>
          </button>
          <span className="hidden px-2 text-ink/80 md:inline">{session?.name}</span>
          <button
            type="button"
            className="min-h-9 rounded-small px-2.5 font-semibold text-ink/80 hover:bg-ink/5"
            onClick={() => signOut.mutate(undefined, { onSettled: () => void navigate('/sign-in', { replace: true }) })}
          >
            Sign out
          </button>
        </div>
      </div>
      <ServerAway />
      <main id="content" tabIndex={-1} className="mx-auto w-full max-w-[1280px] px-4 pt-4 pb-16 outline-none sm:px-7">
        <Outlet />
      </main>
      <Overlays />
      {searching && <SearchDialog onClose={() => setSearching(false)} />}
    </div>
  );
}

/** `/` finds from anywhere but a field. */
function useFindKey(find: () => void): void {
  const latest = useRef(find);
  useEffect(() => {
    latest.current = find;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const target = event.target;
      const typing = target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]');
      if (event.key !== '/' || typing || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      latest.current();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
}

/** What can lie over any page: the list of keys, and signing in again when the session has ended. */
function Overlays(): ReactElement {
  const [keysShown, setKeysShown] = useState(false);
  const [signInWanted, setSignInWanted] = useState(false);
  useEffect(() => onSessionWanted(setSignInWanted), []);
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const target = event.target;
      if (event.key === '?' && !(target instanceof HTMLElement && target.closest('input, textarea, select')))
        setKeysShown(true);
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
  return (
    <Suspense>
      {keysShown && <KeysHelp onClose={() => setKeysShown(false)} />}
      {signInWanted && <SignInAgain />}
    </Suspense>
  );
}
