import { useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { announceSession } from '../../platform/api/session-renewal.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useSession } from './session.queries.js';
import { SignInForm } from './sign-in-form.js';
import { t } from '../words.js';

/** Shown over the page when the session ended: whatever was being done goes on after it. */
export function SignInAgain(): ReactElement {
  const session = useSession();
  const client = useQueryClient();
  return (
    <Dialog title={t('signInAgain.signInAgain')} about={t('signInAgain.yourSessionHasEndedWhat')}>
      <SignInForm
        email={session?.email ?? ''}
        onSignedIn={() => {
          announceSession();
          void client.invalidateQueries();
        }}
      />
    </Dialog>
  );
}
