/** Who works at the school, and who is invited. For administrators. */
import type { InvitationView, StaffMember } from '@hapset/contract';
import { routes } from '@hapset/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { call } from '../../platform/api/client.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Button } from '../../platform/design/button.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { InviteDialog } from './invite-dialog.js';
import { MemberRow } from './member-row.js';
import { roleWords } from './role-words.js';
import { staffQuery } from './staff.queries.js';
import { t } from './words.js';

export function StaffPage(): ReactElement {
  const [inviting, setInviting] = useState(false);
  const staff = useQuery(staffQuery);
  return (
    <>
      <PageHead
        title={t('staffPage.staff')}
        about={t('staffPage.about')}
        trail={<Link to="/school">{t('staffPage.school')}</Link>}
        actions={
          <Button tone="main" onClick={() => setInviting(true)}>
            {t('staffPage.invite')}
          </Button>
        }
      />
      {staff.isPending && <Loading label={t('staffPage.loading')} />}
      {hasFailed(staff) && <Failed words={wordsFor(staff.error)} onRetry={() => void staff.refetch()} />}
      {staff.data && <Members staff={staff.data.staff} />}
      {staff.data && <Invitations invitations={staff.data.invitations} />}
      {inviting && <InviteDialog onClose={() => setInviting(false)} />}
    </>
  );
}

function Members({ staff }: { readonly staff: readonly StaffMember[] }): ReactElement {
  return (
    <ul
      aria-label={t('staffPage.staff')}
      className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
    >
      {staff.map((member) => (
        <MemberRow
          key={member.accountId}
          member={member}
          colleagues={staff.filter(({ accountId, active }) => active && accountId !== member.accountId)}
        />
      ))}
    </ul>
  );
}

function Invitations({ invitations }: { readonly invitations: readonly InvitationView[] }): ReactElement {
  return (
    <section className="mt-6">
      <h2 className="mt-0 mb-2 text-panel">{t('staffPage.pendingInvitations')}</h2>
      {invitations.length === 0 ? (
        <Empty title={t('staffPage.noInvitations')}>{t('staffPage.invitationsEnd')}</Empty>
      ) : (
        <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
          {invitations.map((invitation) => (
            <InvitationRow key={invitation.id} invitation={invitation} />
          ))}
        </ul>
      )}
    </section>
  );
}

function InvitationRow({
  invitation: { id, note, role, madeAt, expiresAt },
}: {
  readonly invitation: InvitationView;
}): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const revoke = useMutation({
    mutationFn: () => call(routes.revokeInvitation, { params: { invitationId: id } }),
    onSettled: () => client.invalidateQueries({ queryKey: staffQuery.queryKey }),
    onSuccess: () => notice({ words: t('staffPage.revoked') }),
    onError: (error) => notice({ words: wordsFor(error) }),
  });
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-2 last:border-b-0">
      <span className="min-w-0 flex-1 basis-60">
        <span className="block truncate text-lead font-semibold">{note === '' ? t('staffPage.noName') : note}</span>
        <span className="text-small text-muted">
          {t('staffPage.madeAndEnds', { role: roleWords[role], made: ago(madeAt), ends: ago(expiresAt) })}
        </span>
      </span>
      <Button disabled={revoke.isPending} onClick={() => revoke.mutate()}>
        {t('staffPage.revoke')}
      </Button>
    </li>
  );
}
