/** Whoever is signed in. The menu behind it comes when somebody is about to open it. */
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { AccountFace, accountButtonClass, type AccountProps } from './account-face.js';
import { t } from '../words.js';

const load = () => import('./account-menu.js');
const AccountMenu = lazy(() => load().then(({ AccountMenu: component }) => ({ default: component })));

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
