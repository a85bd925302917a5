/** A quiet way to the page of the guide that is about what one sees. It opens beside it, so that its steps can be followed. */
import type { ReactElement } from 'react';
import { Link, useMatches } from 'react-router';
import { t } from '../words.js';

/** What a route says of itself. */
export interface RouteHandle {
  /** File of docs/guide, without its ending. */
  readonly guide: string;
}

export function GuideLink(): ReactElement {
  const handle = useMatches().at(-1)?.handle as RouteHandle | undefined;
  const page = handle?.guide ?? '';
  return (
    <Link
      to={page === '' ? '/guide' : `/guide/${page}`}
      target="_blank"
      aria-label={t('shell.howThisPageWorks')}
      title={t('shell.howThisPageWorks')}
      className="flex size-9 items-center justify-center rounded-small font-semibold text-ink/80 no-underline hover:bg-ink/5"
    >
      ?
    </Link>
  );
}
