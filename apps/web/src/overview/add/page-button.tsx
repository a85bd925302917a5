import { useEffect, useRef, type ReactElement } from 'react';
import { Panel } from '../../platform/design/panel.js';
import { bookmarklet } from './shared-page.js';

/** Ways from other pages and from phones to here. */
export function PageButton(): ReactElement {
  const link = useRef<HTMLAnchorElement>(null);
  // React refuses addresses that are scripts, rightly; this one is meant to be dragged to the bookmarks.
  useEffect(() => link.current?.setAttribute('href', bookmarklet(window.location.origin)), []);
  return (
    <Panel title="From elsewhere">
      <div className="grid gap-5 text-body sm:grid-cols-2">
        <div>
          <p className="mt-0 mb-2.5">
            On a laptop: drag this button to the bar of bookmarks. Pressed on any page, it adds that page to Hapset.
          </p>
          <a
            ref={link}
            onClick={(event) => event.preventDefault()}
            className="inline-flex min-h-9 cursor-grab items-center rounded-small border border-dashed border-ink bg-marker-soft px-3.5 font-semibold text-ink no-underline"
          >
            Add this page
          </a>
        </div>
        <p className="m-0">
          On a phone: add Hapset to the home screen from the browser’s menu. From then on it stands in the share menu of
          every app.
        </p>
      </div>
    </Panel>
  );
}
