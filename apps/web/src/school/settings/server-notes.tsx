/** What the administrator has to know of how this server runs; nothing where all is well. */
import { routes, type ServerNotes } from '@hapset/contract';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { call } from '../../platform/api/client.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { T } from '../elements.js';
import { t } from '../words.js';

const serverNotesQuery = queryOptions({
  queryKey: ['school', 'server-notes'],
  queryFn: ({ signal }): Promise<ServerNotes> => call(routes.serverNotes, { signal }),
});
/** Mistyped addresses of a school day are far below. */
const manyUnknown = 300;

export function ServerNotesPart(): ReactElement | null {
  const notes = useQuery(serverNotesQuery).data;
  if (!notes) return null;
  const { undeclaredProxy, unknownShortLinks, slowedShortLinks, shortSlugs, formerShortHosts } = notes;
  const guessing = slowedShortLinks > 0 || unknownShortLinks > manyUnknown;
  return (
    <Panel
      title={t('serverNotes.thisServer')}
      action={
        <Link to="/school/condition" className={buttonClass()}>
          {t('serverNotes.condition')}
        </Link>
      }
    >
      <ul className="m-0 flex list-none flex-col gap-2.5 p-0 text-body">
        {undeclaredProxy && (
          <Note mark="stop">
            <T k="serverNotes.aProxyInFrontOf" components={[<code key="2" className="font-mono" />]} />
          </Note>
        )}
        <Note mark={guessing ? 'look-at' : 'done'}>
          {unknownShortLinks === 0
            ? t('serverNotes.noWrongShortAddressesIn')
            : t('serverNotes.wrongShortAddressesInThe', { count: unknownShortLinks })}
          {slowedShortLinks > 0 && ` ${t('serverNotes.somebodyIsGuessingTriesWere', { slowed: slowedShortLinks })}`}
        </Note>
        {shortSlugs > 0 && (
          <Note mark="look-at">
            <T
              k="serverNotes.shortLinksOfAnEarlier"
              values={{ count: shortSlugs }}
              components={[<Link key="2" to="/shelf/short-links" />]}
            />
          </Note>
        )}
        {formerShortHosts.map((host) => (
          <FormerHost key={host} host={host} />
        ))}
      </ul>
    </Panel>
  );
}

function Note({ mark, children }: { readonly mark: Mark; readonly children: React.ReactNode }): ReactElement {
  return (
    <li className="flex items-start gap-2.5">
      <span className="mt-0.5">
        <StateMark mark={mark} words={mark === 'done' ? t('serverNotes.allGood') : t('serverNotes.needsAttention')} />
      </span>
      <span className="min-w-0">{children}</span>
    </li>
  );
}

function FormerHost({ host }: { readonly host: string }): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const remove = useMutation({
    mutationFn: () => call(routes.removeFormerHost, { params: { formerHost: host } }),
    onSettled: () => client.invalidateQueries(),
    onError: (error) => notice({ words: wordsFor(error) }),
  });
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="min-w-0 flex-1">
        <T
          k="serverNotes.shortLinksPrintedWithStill"
          values={{ host }}
          components={[<span key="1" className="font-mono" />]}
        />
      </span>
      <Button disabled={remove.isPending} onClick={() => remove.mutate()}>
        {t('serverNotes.stopUsingThisHost')}
      </Button>
    </li>
  );
}
