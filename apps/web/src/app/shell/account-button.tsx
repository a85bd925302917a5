/** Whoever is signed in. The menu behind it comes when somebody is about to open it. */
import type { SessionView } from '@hapset/contract';
import { ChevronDown, UserRound } from 'lucide';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Icon } from '../../platform/design/icon.js';
import { t } from '../words.js';

export interface AccountProps {
  readonly session: Pick<SessionView, 'accountId' | 'name'>;
}

const load = () => import('./account-menu.js');
const AccountMenu = lazy(() => load().then(({ AccountMenu: component }) => ({ default: component })));

export const accountButtonClass = 'flex min-h-9 items-center gap-1.5 rounded-small px-2.5 text-ink/80 hover:bg-ink/5';

export function AccountFace({ name }: { readonly name: string }): ReactElement {
  return (
    <>
      <Icon icon={UserRound} size={17} className="md:hidden" />
      <span className="hidden md:inline">{name}</span>
      <Icon icon={ChevronDown} size={15} />
    </>
  );
}

export function AccountButton({ session }: AccountProps): ReactElement {
  const [wanted, setWanted] = useState(false);
  // Should it fail, the click tells.
  const prepare = (): void => void load().catch(() => undefined);
  const button = (
    <button
      type="button"
      aria-label={t('accountMenu.accountOf', { name: session.name })}
      aria-haspopup="menu"
      aria-expanded="false"
      onPointerEnter={prepare}
      onFocus={prepare}
      onClick={() => setWanted(true)}
      className={accountButtonClass}
    >
      <AccountFace name={session.name} />
    </button>
  );
  return wanted ? (
    <Suspense fallback={button}>
      <AccountMenu session={session} />
    </Suspense>
  ) : (
    button
  );
}
