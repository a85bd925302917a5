/** What administrators and the office did, the latest first. */
import { activities, routes, type ActivityEntry } from '@hapset/contract';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { LineSelect } from '../../platform/design/field.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ConfirmedDownload } from '../account/confirmed-download.js';
import { activityQuery, staffQuery } from '../staff/staff.queries.js';
import { t } from '../staff/words.js';
import { activityWords } from './activity-words.js';

export function ActivityPage(): ReactElement {
  const [activity, setActivity] = useState('');
  const [who, setWho] = useState('');
  const search = new URLSearchParams({ activity, who }).toString();
  return (
    <>
      <PageHead
        title={t('activityPage.title')}
        about={t('activityPage.about')}
        trail={<Link to="/school">{t('staffPage.school')}</Link>}
        actions={
          <ConfirmedDownload address={`${routes.activityCsv.path}?${search}`} className={buttonClass()}>
            {t('activityPage.saveCsv')}
          </ConfirmedDownload>
        }
      />
      <Filters {...{ activity, who, setActivity, setWho }} />
      <Entries activity={activity} who={who} />
    </>
  );
}

function Filters({
  activity,
  who,
  setActivity,
  setWho,
}: {
  readonly activity: string;
  readonly who: string;
  readonly setActivity: (activity: string) => void;
  readonly setWho: (who: string) => void;
}): ReactElement {
  const staff = useQuery(staffQuery).data?.staff ?? [];
  return (
    <div className="mb-3 flex flex-wrap gap-2">
      <LineSelect
        label={t('activityPage.what')}
        value={activity}
        choices={[
          ['', t('activityPage.everything')],
          ...activities.map((each) => [each, activityWords[each]] as const),
        ]}
        onChoose={setActivity}
      />
      <LineSelect
        label={t('activityPage.who')}
        value={who}
        choices={[['', t('activityPage.everybody')], ...staff.map(({ name }) => [name, name] as const)]}
        onChoose={setWho}
      />
    </div>
  );
}

function Entries({ activity, who }: { readonly activity: string; readonly who: string }): ReactElement {
  const pages = useInfiniteQuery(activityQuery(activity, who));
  if (pages.isPending) return <Loading label={t('activityPage.loading')} />;
  if (hasFailed(pages)) return <Failed words={wordsFor(pages.error)} onRetry={() => void pages.refetch()} />;
  const entries = pages.data.pages.flatMap((page) => page.entries);
  if (entries.length === 0) return <Empty title={t('activityPage.none')}>{t('activityPage.noneAbout')}</Empty>;
  return (
    <>
      <ul
        aria-label={t('activityPage.title')}
        className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
      >
        {entries.map((entry) => (
          <Entry key={entry.id} entry={entry} />
        ))}
      </ul>
      {pages.hasNextPage && (
        <Button className="mt-3" disabled={pages.isFetchingNextPage} onClick={() => void pages.fetchNextPage()}>
          {t('activityPage.showMore')}
        </Button>
      )}
    </>
  );
}

function Entry({ entry: { at, who, activity, subject } }: { readonly entry: ActivityEntry }): ReactElement {
  return (
    <li className="grid gap-x-4 border-b border-line px-4 py-2 last:border-b-0 sm:grid-cols-[190px_170px_minmax(0,1fr)]">
      <span className="text-small text-muted">{dayAndTime(at)}</span>
      <span className="truncate text-row">{who}</span>
      <span className="min-w-0 text-row">
        <span className="font-semibold">{activityWords[activity]}</span>
        {subject !== '' && subject !== who && <span className="text-muted"> · {subject}</span>}
      </span>
    </li>
  );
}
