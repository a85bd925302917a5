/** One's own account: name, address, password, and where one is signed in. */
import type { OwnAccount } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { roleWords } from '../staff/role-words.js';
import { ownAccountQuery } from '../staff/staff.queries.js';
import { t } from '../staff/words.js';
import { EmailForm, NameForm, PasswordForm } from './account-forms.js';
import { SessionList } from './session-list.js';

export function AccountPage(): ReactElement {
  const account = useQuery(ownAccountQuery);
  return (
    <>
      <PageHead title={t('accountPage.yourAccount')} about={account.data && aboutOf(account.data)} />
      {account.isPending && <Loading label={t('accountPage.loading')} />}
      {hasFailed(account) && <Failed words={wordsFor(account.error)} onRetry={() => void account.refetch()} />}
      {account.data && (
        <div className="grid items-start gap-4 lg:grid-cols-2">
          <div className="flex flex-col gap-4">
            <NameForm key={account.data.name} name={account.data.name} />
            <EmailForm key={account.data.email} email={account.data.email} />
            <PasswordForm email={account.data.email} />
          </div>
          <SessionList sessions={account.data.sessions} />
        </div>
      )}
    </>
  );
}

function aboutOf({ role }: OwnAccount): string {
  return t('accountPage.role', { role: roleWords[role] });
}
