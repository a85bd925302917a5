import { useEffect, useRef, type ReactElement } from 'react';
import { Panel } from '../../platform/design/panel.js';
import { bookmarklet } from './shared-page.js';
import { t } from '../words.js';

/** Ways from other pages and from phones to here. */
export function PageButton(): ReactElement {
  const link = useRef<HTMLAnchorElement>(null);
  // React refuses addresses that are scripts, rightly; this one is meant to be dragged to the bookmarks.
  useEffect(() => link.current?.setAttribute('href', bookmarklet(window.location.origin)), []);
  return (
    <Panel title={t('pageButton.fromOtherApps')}>
      <div className="grid gap-5 text-body sm:grid-cols-2">
        <div>
          <p className="mt-0 mb-2.5">{t('pageButton.onALaptopDragThis')}</p>
          <a
            ref={link}
            onClick={(event) => event.preventDefault()}
            className="inline-flex min-h-9 cursor-grab items-center rounded-small border border-dashed border-ink bg-marker-soft px-3.5 font-semibold text-ink no-underline"
          >
            {t('pageButton.addThisPage')}
          </a>
        </div>
        <p className="m-0">{t('pageButton.onAPhoneAddHapset')}</p>
      </div>
    </Panel>
  );
}
