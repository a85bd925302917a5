/** A colleague in the list, and what administrators can do with the account. */
import type { StaffMember } from '@hapset/contract';
import { MoreHorizontal } from 'lucide';
import { useState, type ReactElement } from 'react';
import { Icon } from '../../platform/design/icon.js';
import { Menu, type MenuEntry } from '../../platform/design/menu.js';
import { useNotice } from '../../platform/design/notice.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { DeactivateDialog, HandOverDialog, ResetLinkDialog, RoleDialog, useChangeStaff } from './member-dialogs.js';
import { roleWords } from './role-words.js';
import { t } from './words.js';

type Shown = 'role' | 'reset' | 'hand-over' | 'deactivate';

export function MemberRow({
  member,
  colleagues,
}: {
  readonly member: StaffMember;
  readonly colleagues: readonly StaffMember[];
}): ReactElement {
  const { name, email, role, active, lastSignInAt, lessons, materials } = member;
  const [shown, setShown] = useState<Shown | null>(null);
  const close = (): void => setShown(null);
  return (
    <li className="flex items-center gap-x-4 border-b border-line px-4 py-2 last:border-b-0">
      <span className="grid min-w-0 flex-1 gap-x-4 sm:grid-cols-[minmax(0,1fr)_130px_200px_190px] sm:items-center">
        <span className="min-w-0">
          <span className={`block truncate text-lead font-semibold ${active ? '' : 'text-muted'}`}>{name}</span>
          <span className="block truncate text-small text-muted">{email}</span>
        </span>
        <span className="text-row">{active ? roleWords[role] : t('memberRow.deactivated')}</span>
        <span className="text-small text-muted">
          {lastSignInAt === null ? t('memberRow.neverSignedIn') : t('memberRow.signedIn', { ago: ago(lastSignInAt) })}
        </span>
        <span className="text-small text-muted">
          {t('handOver.lessons', { count: lessons })} · {t('handOver.materials', { count: materials })}
        </span>
      </span>
      <Menu label={t('memberRow.more', { name })} entries={useEntries(member, setShown)}>
        <Icon icon={MoreHorizontal} size={18} />
      </Menu>
      {shown === 'role' && <RoleDialog member={member} onClose={close} />}
      {shown === 'reset' && <ResetLinkDialog member={member} onClose={close} />}
      {shown === 'hand-over' && <HandOverDialog member={member} colleagues={colleagues} onClose={close} />}
      {shown === 'deactivate' && <DeactivateDialog member={member} onClose={close} />}
    </li>
  );
}

function useEntries(member: StaffMember, show: (dialog: Shown) => void): readonly MenuEntry[] {
  const change = useChangeStaff(member);
  const notice = useNotice();
  const handOver: MenuEntry = {
    label: t('memberRow.handOver'),
    disabled: member.lessons + member.materials === 0,
    onSelect: () => show('hand-over'),
  };
  if (!member.active)
    return [
      handOver,
      {
        label: t('memberRow.activate'),
        onSelect: () => change.mutate({ active: true }, { onError: (error) => notice({ words: wordsFor(error) }) }),
      },
    ];
  return [
    { label: t('memberRow.changeRole'), onSelect: () => show('role') },
    { label: t('memberRow.resetPassword'), onSelect: () => show('reset') },
    handOver,
    { label: t('memberRow.deactivate'), danger: true, onSelect: () => show('deactivate') },
  ];
}
