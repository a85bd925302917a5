/** What the school's own server keeps for a material, and what students see of it. */
import type { KeptFileView, MaterialPage, PictureSetView, WrittenPageSummary } from '@hapset/contract';
import { lazy, Suspense, type ReactElement, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { buttonClass } from '../../platform/design/button.js';
import { Panel } from '../../platform/design/panel.js';
import { bytes } from '../../platform/wording/figures.js';
import { t } from '../words.js';

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
      {t('keptPart.viewAsAStudent')}
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
    <Panel title={t('keptPart.onTheSchoolsServer')} aside={`${file.name}, ${bytes(file.sizeBytes)}`} action={look}>
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
            {file.variants.includes('pdf') ? t('keptPart.studentsSeeItAsA') : t('keptPart.studentsCanDownloadItWith')}
          </p>
        )}
        {(file.media === 'other' || file.media === 'captions') && (
          <p className="m-0 text-row text-muted">{t('keptPart.studentsCanDownloadItAnd')}</p>
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
    <Panel
      title={t('keptPart.onTheSchoolsServer')}
      aside={t('keptPart.pictures', { count: kept.pictures.length })}
      action={look}
    >
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
      title={t('keptPart.writtenHere')}
      aside={
        words + files === 0
          ? t('keptPart.nothingYet')
          : [
              t('keptPart.words', { count: words }),
              links.length > 0 && t('keptPart.links', { count: links.length }),
              files > 0 && t('keptPart.files', { count: files }),
            ]
              .filter(Boolean)
              .join(', ')
      }
      action={
        <>
          {look}
          <Link className={buttonClass('main')} to={`/shelf/${page.material.id}/write`} state={{ done: pathname }}>
            {t('keptPart.write')}
          </Link>
        </>
      }
    >
      <p className="m-0 line-clamp-3 text-body whitespace-pre-line text-muted">
        {kept.excerpt === '' ? t('keptPart.thisPageIsEmptyWrite') : kept.excerpt}
      </p>
    </Panel>
  );
}
