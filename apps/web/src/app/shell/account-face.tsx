/** What the account's button shows, with and without its menu. */
import type { SessionView } from '@hapset/contract';
import { ChevronDown, UserRound } from 'lucide';
import type { ReactElement } from 'react';
import { Icon } from '../../platform/design/icon.js';

export interface AccountProps {
  readonly session: Pick<SessionView, 'accountId' | 'name'>;
}

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
