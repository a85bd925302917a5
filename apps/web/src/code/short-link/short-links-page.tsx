import { routes, shortLinkFilters, type ShortLinkFilter, type ShortLinkRow } from '@hapset/contract';
import { letsIn } from '@hapset/core';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../platform/api/client.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { PageHead } from '../../platform/design/page-head.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { filterWords } from '../../platform/wording/short-links.js';
import { verdictWords } from '../../platform/wording/verdicts.js';
import { ReplaceShortLink } from './replace-short-link.js';
import { shortLinksQuery } from './short-link.queries.js';
import { SearchInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

/** All short links of a teacher: where each leads, where it is used, and whether it still opens. */
export function ShortLinksPage(): ReactElement {
  const [find, setFind] = useState('');
  const [filter, setFilter] = useState<ShortLinkFilter>('all');
  const wanted = useDeferredValue(find.trim());
  const list = useInfiniteQuery(shortLinksQuery(wanted, filter));
  const rows = list.data?.pages.flatMap((page) => page.rows) ?? [];
  const query = new URLSearchParams({ find: wanted, filter }).toString();
  return (
    <>
      <PageHead
        title={t('shortLinksPage.shortLinks')}
        about={t('shortLinksPage.theSchoolsOwnAddressesYou')}
        trail={
          <Link to="/shelf" className="text-ink/80">
            {t('shortLinksPage.shelf')}
          </Link>
        }
        actions={
          <>
            <SearchInput
              label={t('shortLinksPage.findAShortLink')}
              placeholder={t('shortLinksPage.findByTitleTargetOr')}
              value={find}
              onFind={(find) => setFind(find)}
            />
            <a className={buttonClass()} href={`${addressOf(routes.shortLinksCsv, {})}?${query}`} download>
              {t('shortLinksPage.saveList')}
            </a>
          </>
        }
      />
      <Filters filter={filter} onChoose={setFilter} />
      {list.isPending && <Loading label={t('shortLinksPage.shortLinksAreLoading')} />}
      {hasFailed(list) && <Failed words={wordsFor(list.error)} onRetry={() => void list.refetch()} />}
      {list.isSuccess && (
        <Rows rows={rows} total={list.data.pages[0]?.total ?? 0} filtered={wanted !== '' || filter !== 'all'} />
      )}
      {list.hasNextPage && (
        <Button className="mt-3" disabled={list.isFetchingNextPage} onClick={() => void list.fetchNextPage()}>
          {t('shortLinksPage.showMore')}
        </Button>
      )}
    </>
  );
}

function Filters({
  filter,
  onChoose,
}: {
  readonly filter: ShortLinkFilter;
  readonly onChoose: (filter: ShortLinkFilter) => void;
}): ReactElement {
  return (
    <div role="group" aria-label={t('shortLinksPage.show')} className="mb-3 flex flex-wrap gap-1.5">
      {shortLinkFilters.map((choice) => (
        <button
          key={choice}
          type="button"
          aria-pressed={choice === filter}
          onClick={() => onChoose(choice)}
          className={`min-h-9 rounded-small border px-3 text-row font-semibold ${choice === filter ? 'border-marker-line bg-marker-soft' : 'border-line-strong bg-sheet hover:border-ink'}`}
        >
          {filterWords[choice]}
        </button>
      ))}
    </div>
  );
}

function Rows({
  rows,
  total,
  filtered,
}: {
  readonly rows: readonly ShortLinkRow[];
  readonly total: number;
  readonly filtered: boolean;
}): ReactElement {
  if (rows.length === 0) return <Nothing filtered={filtered} />;
  return (
    <>
      <p className="mt-0 mb-2 text-row text-muted" role="status">
        {t('shortLinksPage.shortLinks2', { count: total })}
      </p>
      <ul
        aria-label={t('shortLinksPage.shortLinks')}
        className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0"
      >
        {rows.map((row) => (
          <Row key={row.slug} row={row} />
        ))}
      </ul>
    </>
  );
}

function Nothing({ filtered }: { readonly filtered: boolean }): ReactElement {
  if (filtered)
    return <Empty title={t('shortLinksPage.noShortLinkFound')}>{t('shortLinksPage.tryAnotherWordOrShow')}</Empty>;
  return <Empty title={t('shortLinksPage.noShortLinksYet')}>{t('shortLinksPage.onAMaterialsPageUnder')}</Empty>;
}

function Row({ row }: { readonly row: ShortLinkRow }): ReactElement {
  const { slug, address, carried, target, sheets, opens } = row;
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-line px-4 py-3 last:border-b-0 sm:px-5 md:grid-cols-[150px_minmax(0,1fr)_190px_150px] md:items-center">
      <span className="font-mono text-field font-semibold" title={address}>
        {slug}
        {!carried && target !== null && (
          <span className="block font-sans text-note font-normal text-muted">
            {t('shortLinksPage.notInTheCodeNow')}
          </span>
        )}
      </span>
      <Target row={row} />
      <Standing row={row} />
      <span className="text-row">
        {opens === 0 ? t('shortLinksPage.notScannedYet') : t('shortLinksPage.openedTimes', { count: opens })}
        <span className="block text-note text-muted">
          {sheets === 0 ? t('shortLinksPage.onNoSheet') : t('shortLinksPage.onSheets', { count: sheets })}
        </span>
      </span>
    </li>
  );
}

function Target({
  row: { materialId, title, target, shortForm, lessons },
}: {
  readonly row: ShortLinkRow;
}): ReactElement {
  return (
    <span className="min-w-0">
      {target === null ? (
        <span className="block text-field font-semibold">{title}</span>
      ) : (
        <Link to={`/shelf/${materialId}#short-link`} className="block text-field font-semibold text-ink">
          {title}
        </Link>
      )}
      <span className="block truncate font-mono text-note text-muted" title={target ?? ''}>
        {target ?? t('shortLinksPage.removedFromTheShelf')}
      </span>
      {shortForm && target !== null && <ReplaceShortLink materialId={materialId} />}
      {lessons.length > 0 && (
        <span className="block truncate text-note text-muted">
          {t('shortLinksPage.in', { lessons: lessons.map(({ name }) => name).join(', ') })}
        </span>
      )}
    </span>
  );
}

function Standing({ row }: { readonly row: ShortLinkRow }): ReactElement {
  const { target, checkedAt } = row;
  const words = standingWords(row);
  return (
    <span className="flex items-center gap-2 text-row">
      <StateMark mark={markOf(row)} words={words} />
      <span>
        {words}
        {checkedAt !== null && target !== null && <span className="block text-note text-muted">{ago(checkedAt)}</span>}
      </span>
    </span>
  );
}

function standingWords({ target, verdict }: ShortLinkRow): string {
  if (target === null) return t('shortLinksPage.takenDown');
  return verdict === null ? t('shortLinksPage.notCheckedYet') : verdictWords[verdict].short;
}

function markOf({ target, verdict }: ShortLinkRow): Mark {
  if (target === null || verdict === null) return 'not-yet';
  if (verdict === 'open') return 'done';
  return letsIn(verdict) || verdict === 'unknown' || verdict === 'organisation' ? 'look-at' : 'stop';
}
