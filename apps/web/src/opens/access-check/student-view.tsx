/** What a student sees: the picture from the browser, its progress, or why there is no picture. */
import type { AccessCheckView } from '@hapset/contract';
import { unreachable } from '@hapset/core';
import { useState, type ReactElement, type ReactNode } from 'react';
import { Dialog } from '../../platform/design/dialog.js';
import { plural } from '../../platform/wording/figures.js';
import { ViewPicture } from './view-picture.js';

const slowMs = 5000;

/** Beside the picture stands what the check found out. */
export function WithStudentView({
  check,
  children,
}: {
  readonly check: AccessCheckView;
  readonly children: ReactNode;
}): ReactElement {
  const { studentView: view } = check;
  if (!view?.hasPicture)
    return (
      <>
        {children}
        {view && <p className="mt-2 mb-0 text-small text-muted">{wordsWithout(view.state)}</p>}
      </>
    );
  return (
    <div className="flex flex-col-reverse gap-x-5 gap-y-3 sm:flex-row">
      <Picture check={check} />
      <div className="min-w-0 flex-1">
        {children}
        {check.verdict === 'open' && <WhatElse view={view} />}
      </div>
    </div>
  );
}

function Picture({ check: { id, title, firstLines } }: { readonly check: AccessCheckView }): ReactElement {
  const [large, setLarge] = useState(false);
  const words = [title ?? 'A page without a title', ...firstLines.slice(0, 2)].join('. ');
  return (
    <figure className="m-0 w-36 shrink-0">
      <button
        type="button"
        className="block cursor-zoom-in p-0"
        aria-label="Enlarge the picture"
        onClick={() => setLarge(true)}
      >
        <ViewPicture checkId={id} words={`What a student sees: ${words}`} className="h-auto w-full" />
      </button>
      <figcaption className="mt-1 text-note text-muted">What a student sees</figcaption>
      {large && (
        <Dialog title="What a student sees" onClose={() => setLarge(false)}>
          <ViewPicture checkId={id} words={words} className="mx-auto block h-auto w-[min(390px,100%)]" />
        </Dialog>
      )}
    </figure>
  );
}

function WhatElse({ view }: { readonly view: NonNullable<AccessCheckView['studentView']> }): ReactElement | null {
  const { contentAfterMs, stoppedBy, withoutScripts } = view;
  const told = [
    contentAfterMs !== null &&
      contentAfterMs >= slowMs &&
      `The page is slow: text appears after ${plural(Math.round(contentAfterMs / 1000), 'second')}.`,
    stoppedBy === 'bytes' && 'The page loads more than 20 MB. On a school’s network that takes long.',
    stoppedBy === 'requests' && 'The page loads more than 400 files. On a school’s network that takes long.',
    withoutScripts !== null && 'Scripts draw this page. Old devices may show less of it.',
  ].filter((sentence) => sentence !== false);
  return told.length === 0 ? null : <p className="mt-2 mb-0 text-small text-muted">{told.join(' ')}</p>;
}

function wordsWithout(state: NonNullable<AccessCheckView['studentView']>['state']): string {
  switch (state) {
    case 'waiting':
    case 'drawing':
      return 'The page is being opened in a browser. A picture of what a student sees follows in a few seconds.';
    case 'no-browser':
      return 'This server has no browser, so there is no picture of what a student sees. An administrator can install Chromium with its sandbox.';
    case 'failed':
      return 'The page did not finish loading in a browser, so there is no picture of it.';
    case 'seen':
      return 'This picture was deleted. Choose Open again to get a new one.';
    default:
      return unreachable(state);
  }
}
