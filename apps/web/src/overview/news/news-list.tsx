import type { NewsItem } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed } from '../../platform/design/list-states.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { opensState } from '@hapset/core';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { verdictWords } from '../../platform/wording/verdicts.js';
import { ViewPicture } from '../../opens/access-check/view-picture.js';
import { newsQuery } from './news.queries.js';
import { t } from '../words.js';

/** What stopped opening for students. Nothing to say takes no room. */
export function NewsList(): ReactElement | null {
  const news = useQuery(newsQuery);
  if (hasFailed(news)) return <Failed words={wordsFor(news.error)} onRetry={() => void news.refetch()} />;
  if (!news.data || news.data.length === 0) return null;
  return (
    <section aria-labelledby="news" className="mt-6">
      <h2 id="news" className="mt-0 mb-2.5 text-part">
        {t('newsList.whatChanged')}
      </h2>
      <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line-strong bg-sheet p-0">
        {news.data.map((item) => (
          <NewsRow key={item.materialId} item={item} />
        ))}
      </ul>
    </section>
  );
}

function NewsRow({ item }: { readonly item: NewsItem }): ReactElement {
  const { name, lessonName, before, now, noticedAt, lessonId, stationId, materialId, viewBefore, viewNow } = item;
  const state = opensState(now, 'none');
  const to =
    lessonId !== null && stationId !== null ? `/lessons/${lessonId}/stations/${stationId}` : `/shelf/${materialId}`;
  return (
    <li className="border-b border-line last:border-b-0">
      <Link to={to} className="flex items-center gap-3 px-4 py-2.5 text-ink no-underline hover:bg-marker-soft sm:px-5">
        <StateMark mark={state} words={verdictWords[now].short} />
        <span className="min-w-0 flex-1">
          <strong>{name}</strong>: {verdictWords[now].heading.toLowerCase()}
          <span className="block text-small text-muted">
            {t(lessonName === null ? 'newsList.noticedBefore' : 'newsList.noticedStationOfBefore', {
              ago: ago(noticedAt),
              lesson: lessonName ?? '',
              before: verdictWords[before].short,
            })}
          </span>
        </span>
        {viewBefore !== null && (
          <Small checkId={viewBefore} words={t('newsList.before', { short: verdictWords[before].short })} />
        )}
        {viewNow !== null && <Small checkId={viewNow} words={t('newsList.now', { short: verdictWords[now].short })} />}
        <span className="text-row font-semibold underline underline-offset-2">{t('newsList.seeHowToFixIt')}</span>
      </Link>
    </li>
  );
}

/** What students saw then, under a word that says when. */
function Small({ checkId, words }: { readonly checkId: string; readonly words: string }): ReactElement {
  return (
    <span className="hidden w-14 shrink-0 text-note text-muted sm:block">
      {words.split(':')[0]}
      <ViewPicture checkId={checkId} words={words} className="mt-0.5 block h-20 w-14 object-cover object-top" />
    </span>
  );
}
