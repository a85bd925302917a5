import { lazy, Suspense, useEffect, useState, useSyncExternalStore, type ReactElement } from 'react';
import { NavLink, Outlet } from 'react-router';
import { saveQueue } from '../../platform/api/client.js';
import { SavesWaitContext } from '../../platform/design/saves-wait.js';
import { FocusKeeper } from '../../platform/focus/focus-keeper.js';
import { fetchPartsSoon } from '../../platform/parts/fetch-parts.js';
import { usePageKey } from '../../platform/design/page-key.js';
import { onPasswordWanted } from '../../platform/api/password-request.js';
import { onSessionWanted } from '../../platform/api/session-renewal.js';
import { useLiveChecks } from '../live/use-live-checks.js';
import { AccountButton } from './account-button.js';
import { AskBeforeLeaving } from './ask-before-leaving.js';
import { GuideLink } from './guide-link.js';
import { ServerAway } from './server-away.js';
import { useSession } from '../../school/account/session.queries.js';
import { t } from '../words.js';

// Dialogs and forms are needed by few pages at first; they come when they are.
const SearchDialog = lazy(() =>
  import('./search-dialog.js').then(({ SearchDialog: component }) => ({ default: component })),
);
const KeysHelp = lazy(() => import('./keys-help.js').then(({ KeysHelp: component }) => ({ default: component })));
const ConfirmPassword = lazy(() =>
  import('../../school/account/confirm-password.js').then(({ ConfirmPassword: component }) => ({ default: component })),
);
const SignInAgain = lazy(() =>
  import('../../school/account/sign-in-again.js').then(({ SignInAgain: component }) => ({ default: component })),
);

const tabs = [
  ['/lessons', t('shell.lessons')],
  ['/shelf', t('shell.shelf')],
  ['/devices', t('shell.devices')],
  ['/school', t('shell.school')],
] as const;

/** The paper with its index tabs: what is around every page of the staff. */
export function Shell(): ReactElement {
  const [searching, setSearching] = useState(false);
  useFindKey(() => setSearching(true));
  useLiveChecks();
  const waiting = useSyncExternalStore(saveQueue.subscribe, saveQueue.count) > 0;
  useEffect(fetchPartsSoon, []);
  useEffect(() => new FocusKeeper(document, () => document.getElementById('content')).start(), []);
  return (
    <div className="min-h-screen">
      <a href="#content" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        {t('shell.skipToContent')}
      </a>
      <header className="flex min-h-12 flex-wrap items-end gap-x-2 bg-band px-3 pt-1.5 sm:px-7">
        <NavLink to="/" className="mr-3 self-center font-heading text-dialog font-bold text-ink no-underline">
          Hapset
        </NavLink>
        <nav
          aria-label={t('shell.mainMenu')}
          className="order-last flex w-full overflow-x-auto sm:order-none sm:w-auto"
        >
          {tabs.map(([to, label]) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                `flex min-h-10 items-center rounded-t-[10px] px-3 text-body sm:px-[18px] font-semibold no-underline ${isActive ? 'bg-paper text-ink' : 'text-ink/75 hover:text-ink'}`
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <HeaderButtons onFind={() => setSearching(true)} />
      </header>
      <ServerAway />
      <main id="content" tabIndex={-1} className="mx-auto w-full max-w-[1280px] px-4 pt-4 pb-16 outline-none sm:px-7">
        <SavesWaitContext value={waiting}>
          <AskBeforeLeaving>
            <Outlet />
          </AskBeforeLeaving>
        </SavesWaitContext>
      </main>
      <Overlays />
      <Suspense>{searching && <SearchDialog onClose={() => setSearching(false)} />}</Suspense>
    </div>
  );
}

function HeaderButtons({ onFind }: { readonly onFind: () => void }): ReactElement {
  const session = useSession();
  return (
    <div className="ml-auto flex items-center gap-1 self-center text-row">
      <button
        type="button"
        onClick={onFind}
        className="flex min-h-9 items-center gap-2 rounded-small px-2.5 text-ink/80 hover:bg-ink/5"
      >
        {t('shell.find')}{' '}
        <kbd className="hidden rounded-fine border border-line-strong bg-sheet px-1.5 font-mono text-fine sm:inline">
          /
        </kbd>
      </button>
      <GuideLink />
      {session && <AccountButton session={session} />}
    </div>
  );
}

/** `/` finds from anywhere but a field. */
function useFindKey(find: () => void): void {
  usePageKey((event) => {
    if (event.key !== '/' || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    find();
  });
}

/** What can lie over any page: the list of keys, giving the password again, and signing in again when the session has ended. */
function Overlays(): ReactElement {
  const [keysShown, setKeysShown] = useState(false);
  const [signInWanted, setSignInWanted] = useState(false);
  const [passwordWanted, setPasswordWanted] = useState(false);
  useEffect(() => onSessionWanted(setSignInWanted), []);
  useEffect(() => onPasswordWanted(setPasswordWanted), []);
  usePageKey(({ key }) => {
    if (key === '?') setKeysShown(true);
  });
  return (
    <Suspense>
      {keysShown && <KeysHelp onClose={() => setKeysShown(false)} />}
      {passwordWanted && <ConfirmPassword />}
      {signInWanted && <SignInAgain />}
    </Suspense>
  );
}
