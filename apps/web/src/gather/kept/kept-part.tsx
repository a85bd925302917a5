/** What the school's own server keeps for a material, and what students see of it. */
import type { KeptFileView, MaterialPage, PictureSetView, WrittenPageSummary } from '@hapset/contract';
import { lazy, Suspense, type ReactElement, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { buttonClass } from '../../platform/design/button.js';
import { Panel } from '../../platform/design/panel.js';
import { bytes, plural } from '../../platform/wording/figures.js';

const FileDetails = lazy(() =>
  import('./file-details.js').then(({ FileDetails: component }) => ({ default: component })),
);
const PictureOrder = lazy(() =>
  import('./picture-order.js').then(({ PictureOrder: component }) => ({ default: component })),
);

export function KeptPart({ page }: { readonly page: MaterialPage }): ReactElement | null {
  const { kept, material } = page;
  if (!kept || material.pageAddress === null) return null;
  const look = (
    <a className={buttonClass()} href={new URL(material.pageAddress).pathname} target="_blank" rel="noreferrer">
      See it as a student
    </a>
  );
  return (
    <Suspense>
      {kept.kind === 'file' && <FileSheet page={page} kept={kept} look={look} />}
      {kept.kind === 'picture-set' && <PictureSheet page={page} kept={kept} look={look} />}
      {kept.kind === 'written-page' && <PageSheet page={page} kept={kept} look={look} />}
    </Suspense>
  );
}

function FileSheet({
  page,
  kept,
  look,
}: {
  readonly page: MaterialPage;
  readonly kept: KeptFileView;
  readonly look: ReactNode;
}): ReactElement {
  const { file } = kept;
  return (
    <Panel title="Kept here" aside={`${file.name}, ${bytes(file.sizeBytes)}`} action={look}>
      <div className="mt-1">
        {file.media === 'picture' && (
          <img src={`${file.address}/w640`} alt="" className="max-h-48 rounded-small border border-line" />
        )}
        {file.media === 'sound' && (
          <audio controls preload="metadata" src={file.address} className="w-full" aria-label={file.name} />
        )}
        {file.media === 'film' && (
          <video
            controls
            preload="metadata"
            src={file.address}
            className="max-h-60 rounded-small bg-print-ink"
            aria-label={file.name}
          />
        )}
        {file.media === 'office' && (
          <p className="m-0 text-row text-muted">
            {file.variants.includes('pdf')
              ? 'Students see it as a PDF and can save it as it was written.'
              : 'Students can save it. Where the server has LibreOffice, it is shown as a PDF as well.'}
          </p>
        )}
        {(file.media === 'other' || file.media === 'captions') && (
          <p className="m-0 text-row text-muted">Students can save it; their device decides what opens it.</p>
        )}
      </div>
      <FileDetails material={page.material} kept={kept} />
    </Panel>
  );
}

function PictureSheet({
  page,
  kept,
  look,
}: {
  readonly page: MaterialPage;
  readonly kept: PictureSetView;
  readonly look: ReactNode;
}): ReactElement {
  return (
    <Panel title="Kept here" aside={plural(kept.pictures.length, 'picture')} action={look}>
      <PictureOrder material={page.material} pictures={kept.pictures} />
    </Panel>
  );
}

function PageSheet({
  page,
  kept,
  look,
}: {
  readonly page: MaterialPage;
  readonly kept: WrittenPageSummary;
  readonly look: ReactNode;
}): ReactElement {
  const { words, links, files } = kept;
  const { pathname } = useLocation();
  return (
    <Panel
      title="Written here"
      aside={
        words + files === 0
          ? 'nothing yet'
          : [
              plural(words, 'word'),
              links.length > 0 && plural(links.length, 'link'),
              files > 0 && plural(files, 'file'),
            ]
              .filter(Boolean)
              .join(', ')
      }
      action={
        <>
          {look}
          <Link className={buttonClass('main')} to={`/shelf/${page.material.id}/write`} state={{ done: pathname }}>
            Write
          </Link>
        </>
      }
    >
      <p className="m-0 line-clamp-3 text-body whitespace-pre-line text-muted">
        {kept.excerpt === ''
          ? 'The page is empty. Write what students should read, with pictures, sounds and links.'
          : kept.excerpt}
      </p>
    </Panel>
  );
}
