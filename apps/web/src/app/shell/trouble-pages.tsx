import { useEffect, type ReactElement } from 'react';
import { Link, useRevalidator, useRouteError } from 'react-router';
import { serverState } from '../../platform/api/server-state.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

export function NotFoundPage(): ReactElement {
  return <Trouble title={t('troublePages.pageNotFound')} words={t('troublePages.theAddressMayBeMistyped')} />;
}

/** Shown when a page could not be built at all. */
export function FailedPage(): ReactElement {
  const error = useRouteError();
  const { revalidate } = useRevalidator();
  const partMissing = isPartMissing(error);
  // Where the server was away, the page comes by itself once it is back. A part that did not come is asked for by a
  // fresh page alone.
  useEffect(() => {
    if (partMissing) serverState.askNow();
    return serverState.onReturn(() => (partMissing ? location.reload() : void revalidate()));
  }, [partMissing, revalidate]);
  const words = partMissing ? t('troublePages.partOfThePageDid') : wordsFor(error);
  return <Trouble title={t('troublePages.thisPageCantBeShown')} words={words} reload={partMissing} />;
}

/** What browsers say of a script that they could not load. */
function isPartMissing(error: unknown): boolean {
  return error instanceof TypeError && /dynamically imported module|importing a module/i.test(error.message);
}

function Trouble({
  title,
  words,
  reload = false,
}: {
  readonly title: string;
  readonly words: string;
  /** Whether loading the page again helps. */
  readonly reload?: boolean;
}): ReactElement {
  useEffect(() => {
    document.title = `${title} · Hapset`;
  }, [title]);
  return (
    <div className="mx-auto max-w-[560px] px-5 py-20 text-center">
      <h1 className="m-0 text-page">{title}</h1>
      <p className="text-muted">{words}</p>
      <p className="flex justify-center gap-2">
        {reload && (
          <Button tone="main" onClick={() => location.reload()}>
            {t('troublePages.loadAgain')}
          </Button>
        )}
        <Link to="/" reloadDocument className={buttonClass(reload ? 'plain' : 'main')}>
          {t('troublePages.toTheStartPage')}
        </Link>
      </p>
    </div>
  );
}
