/** A teacher's kept files: how much room they take, where each is shown, and what may go. */
import { routes, type FilesPage as FilesView, type FileView } from '@hapset/contract';
import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { mediaWords } from '../../platform/wording/kinds.js';
import { bytes } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { filesQuery } from './file.queries.js';
import { NameInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function FilesPage(): ReactElement {
  const files = useInfiniteQuery(filesQuery);
  const rows = files.data?.pages.flatMap((page) => page.rows) ?? [];
  const [first] = files.data?.pages ?? [];
  return (
    <>
      <PageHead
        title={t('filesPage.files')}
        about={t('filesPage.filesOnTheSchoolsServer')}
        trail={
          <Link to="/shelf" className="text-ink/80">
            {t('filesPage.shelf')}
          </Link>
        }
      />
      {first && <UsedStorage page={first} />}
      {files.isPending && <Loading label={t('filesPage.yourFilesAreLoading')} />}
      {hasFailed(files) && <Failed words={wordsFor(files.error)} onRetry={() => void files.refetch()} />}
      {files.isSuccess && rows.length === 0 && (
        <Empty title={t('filesPage.noFilesYet')}>{t('filesPage.dropFilesOnTheShelf')}</Empty>
      )}
      {rows.length > 0 && (
        <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
          {rows.map((file) => (
            <FileRow key={file.id} file={file} />
          ))}
        </ul>
      )}
      {files.hasNextPage && (
        <Button className="mt-3" disabled={files.isFetchingNextPage} onClick={() => void files.fetchNextPage()}>
          {t('filesPage.showMore')}
        </Button>
      )}
    </>
  );
}

function UsedStorage({
  page: { usedBytes, teacherLimitBytes, fileLimitBytes },
}: {
  readonly page: FilesView;
}): ReactElement {
  const part = Math.min(1, usedBytes / teacherLimitBytes);
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-1 text-row">
      <div
        role="meter"
        aria-label={t('filesPage.storageUsed')}
        aria-valuenow={Math.round(part * 100)}
        aria-valuemin={0}
        aria-valuemax={100}
        className="h-2.5 w-64 overflow-hidden rounded-full bg-line"
      >
        <div
          className={`h-full ${part > 0.9 ? 'bg-look' : 'bg-ink'}`}
          style={{ width: `${Math.max(part * 100, usedBytes > 0 ? 1 : 0)}%` }}
        />
      </div>
      <span>{t('filesPage.of', { used: bytes(usedBytes), limit: bytes(teacherLimitBytes) })}</span>
      <span className="text-muted">{t('filesPage.aFileCanHaveUp', { bytes: bytes(fileLimitBytes) })}</span>
    </div>
  );
}

function FileRow({ file }: { readonly file: FileView }): ReactElement {
  const removal = useRemoval({
    remove: routes.removeFile,
    restore: routes.restoreFile,
    params: { fileId: file.id },
    words: t('filesPage.wasRemoved', { name: file.name }),
  });
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-b border-line px-4 py-2.5 last:border-b-0 sm:px-5">
      {file.media === 'picture' ? (
        <img src={`${file.address}/w640`} alt="" className="size-11 shrink-0 rounded-fine object-cover" />
      ) : (
        <span className="flex size-11 shrink-0 items-center justify-center rounded-fine bg-band text-fine font-semibold">
          {endingOf(file.name)}
        </span>
      )}
      <div className="min-w-48 flex-1">
        <FileName file={file} />
        <p className="m-0 text-small text-muted">
          {mediaWords[file.media]}, {bytes(file.sizeBytes)}
          {file.widthPx !== null && `, ${file.widthPx} × ${file.heightPx}`}
        </p>
      </div>
      <UsedIn file={file} />
      <Button
        tone="quiet"
        disabled={file.usedIn.length > 0}
        title={file.usedIn.length > 0 ? t('filesPage.youCanRemoveItWhen') : undefined}
        onClick={removal.run}
        aria-label={t('filesPage.remove2', { name: file.name })}
      >
        {t('filesPage.remove')}
      </Button>
    </li>
  );
}

function FileName({ file }: { readonly file: FileView }): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const rename = useMutation({
    mutationFn: (name: string) =>
      call(routes.renameFile, { params: { fileId: file.id }, body: { name, version: file.version } }),
    onError: (error) => notice({ words: wordsFor(error) }),
    onSettled: () => client.invalidateQueries(),
  });
  return (
    <NameInput
      aria-label={t('filesPage.nameOf', { name: file.name })}
      defaultValue={file.name}
      key={file.name}
      maxLength={200}
      onBlur={(event) => {
        const name = event.target.value.trim();
        if (name !== '' && name !== file.name) rename.mutate(name);
      }}
      className="min-h-8 text-field"
    />
  );
}

function UsedIn({ file }: { readonly file: FileView }): ReactElement {
  return (
    <p className="m-0 max-w-72 text-small text-muted">
      {file.usedIn.length === 0 ? (
        t('filesPage.notUsed')
      ) : (
        <>
          {t('filesPage.usedIn')}{' '}
          {file.usedIn.map((use, index) => (
            <span key={use.id}>
              {index > 0 && ', '}
              <Link to={`/shelf/${use.id}`} className="text-ink underline underline-offset-2">
                {use.title}
              </Link>
            </span>
          ))}
        </>
      )}
    </p>
  );
}

function endingOf(name: string): string {
  return /\.([a-z0-9]{1,4})$/i.exec(name)?.[1]?.toUpperCase() ?? '–';
}
