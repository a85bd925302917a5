/** What a student sees: the picture from the browser, its progress, or why there is no picture. */
import type { AccessCheckView } from '@hapset/contract';
import { unreachable } from '@hapset/core';
import { useState, type ReactElement, type ReactNode } from 'react';
import { Dialog } from '../../platform/design/dialog.js';
import { ViewPicture } from './view-picture.js';
import { t } from '../words.js';

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
  const words = [title ?? t('studentView.aPageWithoutATitle'), ...firstLines.slice(0, 2)].join('. ');
  return (
    <figure className="m-0 w-36 shrink-0">
      <button
        type="button"
        className="block cursor-zoom-in p-0"
        aria-label={t('studentView.enlargeThePicture')}
        onClick={() => setLarge(true)}
      >
        <ViewPicture checkId={id} words={t('studentView.whatAStudentSees', { words })} className="h-auto w-full" />
      </button>
      <figcaption className="mt-1 text-note text-muted">{t('studentView.whatAStudentSees2')}</figcaption>
      {large && (
        <Dialog title={t('studentView.whatAStudentSees2')} onClose={() => setLarge(false)}>
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
      t('studentView.thePageIsSlowText', { count: Math.round(contentAfterMs / 1000) }),
    stoppedBy === 'bytes' && t('studentView.thePageLoadsMoreThan'),
    stoppedBy === 'requests' && t('studentView.thePageLoadsMoreThan2'),
    withoutScripts !== null && t('studentView.scriptsDrawThisPageOld'),
  ].filter((sentence) => sentence !== false);
  return told.length === 0 ? null : <p className="mt-2 mb-0 text-small text-muted">{told.join(' ')}</p>;
}

function wordsWithout(state: NonNullable<AccessCheckView['studentView']>['state']): string {
  switch (state) {
    case 'waiting':
    case 'drawing':
      return t('studentView.thePageIsBeingOpened');
    case 'no-browser':
      return t('studentView.thisServerHasNoBrowser');
    case 'failed':
      return t('studentView.thePageDidNotFinish');
    case 'seen':
      return t('studentView.thisPictureWasDeletedChoose');
    default:
      return unreachable(state);
  }
}
