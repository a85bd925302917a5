import { routes, type OwnSession } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { ago, dayAndTime } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ownAccountQuery } from '../staff/staff.queries.js';
import { t } from '../staff/words.js';

/** Devices on which one is signed in; each but this one can be signed out from here. */
export function SessionList({ sessions }: { readonly sessions: readonly OwnSession[] }): ReactElement {
  return (
    <Panel title={t('sessionList.title')}>
      <ul className="m-0 list-none p-0">
        {sessions.map((session) => (
          <SessionRow key={session.id} session={session} />
        ))}
      </ul>
    </Panel>
  );
}

function SessionRow({
  session: { id, device, begunAt, usedAt, current, kept },
}: {
  readonly session: OwnSession;
}): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const name = device === '' ? t('sessionList.unknownDevice') : device;
  const end = useMutation({
    mutationFn: () => call(routes.endSession, { params: { sessionId: id } }),
    onSettled: () => client.invalidateQueries({ queryKey: ownAccountQuery.queryKey }),
    onError: (error) => notice({ words: wordsFor(error) }),
  });
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2 last:border-b-0">
      <span className="min-w-0 flex-1 basis-56">
        <span className="block text-lead font-semibold">{name}</span>
        <span className="text-small text-muted">
          {t('sessionList.since', { begun: dayAndTime(begunAt) })}
          {kept && ` · ${t('sessionList.kept')}`}
        </span>
      </span>
      {current ? (
        <span className="text-row font-semibold">{t('sessionList.thisDevice')}</span>
      ) : (
        <>
          <span className="text-small text-muted">{t('sessionList.lastUsed', { ago: ago(usedAt) })}</span>
          <Button
            aria-label={t('sessionList.signOutOf', { name })}
            disabled={end.isPending}
            onClick={() => end.mutate()}
          >
            {t('sessionList.signOut')}
          </Button>
        </>
      )}
    </li>
  );
}
