/** Finds lessons, stations and materials from any page. */
import { routes, type SearchResults } from '@hapset/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useRef, useState, type KeyboardEvent, type ReactElement, type ReactNode } from 'react';
import { Link } from 'react-router';
import { KindIcon } from '../../gather/material/kind-icon.js';
import { call } from '../../platform/api/client.js';
import { keyRoots } from '../../platform/api/materials-changed.js';
import { Dialog } from '../../platform/design/dialog.js';
import { SearchInput } from '../../platform/design/inputs.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed } from '../../platform/design/list-states.js';
import { lessonTime } from '../../platform/wording/figures.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

export function SearchDialog({ onClose }: { readonly onClose: () => void }): ReactElement {
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const list = useRef<HTMLDivElement>(null);
  const found = useQuery({
    queryKey: [keyRoots.materials, 'search', wanted],
    queryFn: ({ signal }): Promise<SearchResults> => call(routes.search, { query: { find: wanted }, signal }),
    enabled: wanted !== '',
    placeholderData: keepPreviousData,
  });
  return (
    <Dialog title={t('searchDialog.find')} onClose={onClose}>
      <div onKeyDown={(event) => moveFocus(event, list.current)}>
        <SearchInput
          label={t('searchDialog.lessonStationOrMaterial')}
          value={find}
          onFind={setFind}
          autoFocus
          onKeyDown={(event) => {
            if (event.key === 'Enter') list.current?.querySelector('a')?.click();
          }}
        />
        <div
          ref={list}
          className="mt-3 max-h-[52vh] overflow-y-auto"
          onClick={(event) => closeOnLink(event.target, onClose)}
        >
          {hasFailed(found) && <Failed words={wordsFor(found.error)} onRetry={() => void found.refetch()} />}
          {wanted !== '' && found.data && <Results found={found.data} wanted={wanted} />}
        </div>
      </div>
    </Dialog>
  );
}

/** Arrow keys go from the field to the results and back. */
function moveFocus(event: KeyboardEvent, list: HTMLElement | null): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step === undefined || !list) return;
  event.preventDefault();
  const stops = [event.currentTarget.querySelector('input'), ...list.querySelectorAll('a')];
  const now = stops.findIndex((stop) => stop === document.activeElement);
  stops[Math.min(stops.length - 1, Math.max(0, now + step))]?.focus();
}

function closeOnLink(target: EventTarget, onClose: () => void): void {
  if (target instanceof Element && target.closest('a')) onClose();
}

function Results({ found, wanted }: { readonly found: SearchResults; readonly wanted: string }): ReactElement {
  const { lessons, stations, materials } = found;
  if (lessons.length + stations.length + materials.length === 0)
    return (
      <p role="status" className="m-0 text-body text-muted">
        {t('searchDialog.nothingFoundForTryFewer', { wanted })}
      </p>
    );
  return (
    <>
      <Group title={t('searchDialog.lessons')}>
        {lessons.map(({ id, name, date }) => (
          <Result key={id} to={`/lessons/${id}`} name={name} about={lessonTime(date, null)} />
        ))}
      </Group>
      <Group title={t('searchDialog.stations')}>
        {stations.map(({ stationId, lessonId, name, lessonName }) => (
          <Result
            key={stationId}
            to={`/lessons/${lessonId}/stations/${stationId}`}
            name={name}
            about={t('searchDialog.in', { lessonName })}
          />
        ))}
      </Group>
      <Group title={t('searchDialog.materials')}>
        {materials.map(({ id, title, kind }) => (
          <Result
            key={id}
            to={`/shelf/${id}`}
            name={title}
            about={
              <span className="flex items-center gap-1.5">
                <KindIcon kind={kind} /> {kindWords[kind]}
              </span>
            }
          />
        ))}
      </Group>
    </>
  );
}

function Group({
  title,
  children,
}: {
  readonly title: string;
  readonly children: readonly ReactNode[];
}): ReactElement | null {
  if (children.length === 0) return null;
  return (
    <section aria-label={title} className="mb-2">
      <h3 className="m-0 mb-0.5 text-small font-semibold text-muted">{title}</h3>
      <ul className="m-0 list-none p-0">{children}</ul>
    </section>
  );
}

function Result({
  to,
  name,
  about,
}: {
  readonly to: string;
  readonly name: string;
  readonly about: ReactNode;
}): ReactElement {
  return (
    <li>
      <Link
        to={to}
        className="flex min-h-11 flex-wrap items-center gap-x-3 rounded-step px-2.5 text-body text-ink no-underline hover:bg-marker-soft focus:bg-marker-soft"
      >
        <span className="min-w-0 flex-1 truncate font-semibold">{name}</span>
        <span className="max-w-full truncate text-small text-muted">{about}</span>
      </Link>
    </li>
  );
}
