/** What is behind the account's button: how the pages look on this device, and the sign-out. */
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { Menu } from '../../platform/design/menu.js';
import { drafts } from '../../platform/draft/drafts.js';
import type { ThemeChoice } from '../../platform/theme/theme.js';
import { useThemeChoice } from '../../platform/theme/use-theme.js';
import { useSignOut } from '../../school/account/session.queries.js';
import { AccountFace, accountButtonClass, type AccountProps } from './account-face.js';
import { t } from '../words.js';

const themes: readonly (readonly [ThemeChoice, string])[] = [
  ['device', t('accountMenu.likeThisDevice')],
  ['light', t('accountMenu.light')],
  ['dark', t('accountMenu.dark')],
];

export function AccountMenu({ session: { accountId, name } }: AccountProps): ReactElement {
  const [theme, chooseTheme] = useThemeChoice();
  const { ask, unsaved, stay, leave } = useLeaving(accountId);
  return (
    <>
      <Menu
        label={t('accountMenu.accountOf', { name })}
        choice={{
          label: t('accountMenu.lightOrDark'),
          chosen: theme,
          options: themes,
          onChoose: (chosen) => chooseTheme(chosen as ThemeChoice),
        }}
        entries={[
          { label: t('accountMenu.yourAccount'), to: '/account' },
          { label: t('accountMenu.signOut'), onSelect: ask },
        ]}
        openAtFirst
        className={accountButtonClass}
      >
        <AccountFace name={name} />
      </Menu>
      {unsaved > 0 && <AskBefore unsaved={unsaved} onStay={stay} onLeave={leave} />}
    </>
  );
}

/** What was typed and not saved is on this device: it goes with whoever typed it, after asking. */
function useLeaving(accountId: string): {
  readonly unsaved: number;
  readonly ask: () => void;
  readonly stay: () => void;
  readonly leave: () => void;
} {
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [unsaved, setUnsaved] = useState(0);
  const leave = (): void => {
    drafts.removeAll(accountId);
    signOut.mutate(undefined, { onSettled: () => void navigate('/sign-in', { replace: true }) });
  };
  const ask = (): void => {
    const count = drafts.count(accountId);
    if (count === 0) leave();
    else setUnsaved(count);
  };
  return { unsaved, ask, stay: () => setUnsaved(0), leave };
}

function AskBefore({
  unsaved,
  onStay,
  onLeave,
}: {
  readonly unsaved: number;
  readonly onStay: () => void;
  readonly onLeave: () => void;
}): ReactElement {
  return (
    <Dialog
      title={t('accountMenu.signOut2')}
      about={t('accountMenu.youTypedTextsOnThis', { count: unsaved })}
      onClose={onStay}
    >
      <div className="flex justify-end gap-2">
        <Button autoFocus onClick={onStay}>
          {t('accountMenu.staySignedIn')}
        </Button>
        <Button onClick={onLeave}>{t('accountMenu.signOut')}</Button>
      </div>
    </Dialog>
  );
}
