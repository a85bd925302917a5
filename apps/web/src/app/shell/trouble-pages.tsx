import { useEffect, type ReactElement } from 'react';
import { Link, useRevalidator, useRouteError } from 'react-router';
import { serverState } from '../../platform/api/server-state.js';
import { buttonClass } from '../../platform/design/button.js';
import { wordsFor } from '../../platform/wording/problems.js';

export function NotFoundPage(): ReactElement {
  return <Trouble title="There is nothing here" words="The address may be mistyped, or what stood here was removed." />;
}

/** Shown when a page could not be built at all. */
export function FailedPage(): ReactElement {
  const error = useRouteError();
  const { revalidate } = useRevalidator();
  // Where the server was away, the page comes by itself once it is back.
  useEffect(() => serverState.onReturn(() => void revalidate()), [revalidate]);
  return <Trouble title="This page could not be shown" words={wordsFor(error)} />;
}

function Trouble({ title, words }: { readonly title: string; readonly words: string }): ReactElement {
  useEffect(() => {
    document.title = `${title} · Hapset`;
  }, [title]);
  return (
    <div className="mx-auto max-w-[560px] px-5 py-20 text-center">
      <h1 className="m-0 text-page">{title}</h1>
      <p className="text-muted">{words}</p>
      <Link to="/" reloadDocument className={buttonClass('main')}>
        To the start page
      </Link>
    </div>
  );
}
