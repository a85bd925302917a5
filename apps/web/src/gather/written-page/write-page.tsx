/** Where a page is written. It keeps itself; what students see changes with it. */
import { routes, type FileView, type WrittenPageView } from '@hapset/contract';
import { readDocument, type PageDocument } from '@hapset/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { EditorContent, useEditor, type Editor, type JSONContent } from '@tiptap/react';
import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type DragEvent, type ReactElement } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { call } from '../../platform/api/client.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { useDraftKeeper } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { ChooseFiles } from '../../platform/design/choose-file.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { UploadList } from '../upload/upload-list.js';
import { useUploads, type Uploads } from '../upload/use-uploads.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { EarlierPages } from './earlier-pages.js';
import './editor.css';
import { pageExtensions, type KnownFile } from './page-extensions.js';
import { PageToolbar } from './page-toolbar.js';
import { useAutosave, type Autosave, type SaveState } from './use-autosave.js';
import { NameInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function WritePage(): ReactElement {
  const { materialId = '' } = useParams();
  // Read once: from then on the editor holds the page, and its saving finds out when somebody else changed it.
  const page = useQuery({
    queryKey: ['written-page', materialId],
    queryFn: ({ signal }) => call(routes.writtenPage, { params: { materialId }, signal }),
    gcTime: 0,
    staleTime: Infinity,
    refetchOnWindowFocus: false,
  });
  if (page.isPending) return <Loading label={t('writePage.thePageIsLoading')} />;
  if (hasFailed(page)) return <Failed words={wordsFor(page.error)} onRetry={() => void page.refetch()} />;
  return <Writing key={materialId} page={page.data} />;
}

function Writing({ page }: { readonly page: WrittenPageView }): ReactElement {
  const client = useQueryClient();
  const { keeper, handle: draft } = useDraftKeeper(
    useOwnPlace(t('writePage.page', { materialId: page.materialId })),
    isDocument,
  );
  const autosave = useAutosave(page, keeper);
  const [earlierShown, setEarlierShown] = useState(false);
  const { editor, uploads } = usePageEditor(page, autosave);
  // What other pages know of it is old when one comes back to them.
  useEffect(() => () => void client.invalidateQueries(), [client]);
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1 basis-72">
          <div className="text-small text-muted">
            <Link to={`/shelf/${page.materialId}`} className="text-ink/80 underline">
              {t('writePage.code')}
            </Link>{' '}
            · <SaveWords state={autosave.state} />
          </div>
          <Title page={page} onMoved={autosave.moved} />
        </div>
        <Button onClick={() => setEarlierShown(true)}>{t('writePage.earlierVersions')}</Button>
        <Link to={useWayBack(page.materialId)} className={buttonClass('main')}>
          {t('writePage.done')}
        </Link>
      </header>
      {draft.found && (
        <div className="mb-3">
          <DraftOffer
            draft={draft}
            onUse={(document) => {
              autosave.keepBefore();
              editor.commands.setContent(toContent(document), { emitUpdate: true });
            }}
          />
        </div>
      )}
      {autosave.state.is === 'conflict' && (
        <ConflictChoice
          autosave={autosave}
          onOther={(document) => editor.commands.setContent(toContent(document), { emitUpdate: false })}
        />
      )}
      <PageSurface editor={editor} uploads={uploads} />
      {earlierShown && (
        <EarlierPages
          materialId={page.materialId}
          onTake={(document) => {
            autosave.keepBefore();
            editor.commands.setContent(toContent(document), { emitUpdate: true });
            setEarlierShown(false);
          }}
          onClose={() => setEarlierShown(false)}
        />
      )}
    </>
  );
}

function isDocument(value: unknown): value is PageDocument {
  return readDocument(value) !== null;
}

/** Where one came from; the page's code for who came by its address. */
function useWayBack(materialId: string): string {
  const state = useLocation().state as { readonly done?: string } | null;
  return state?.done ?? `/shelf/${materialId}`;
}

/** The editor of a page, which keeps itself, and the files on their way into it. */
function usePageEditor(
  page: WrittenPageView,
  autosave: Autosave,
): { readonly editor: Editor; readonly uploads: Uploads } {
  // Grows as files are added; the editor's extensions hold on to this one.
  const [files] = useState(() => new Map<string, KnownFile>(page.files.map((file) => [file.id, file])));
  const extensions = useMemo(() => pageExtensions((fileId) => files.get(fileId) ?? null), [files]);
  const editor = useEditor({
    extensions,
    content: toContent(page.document),
    onUpdate: ({ editor: current }) => autosave.changed(current.getJSON() as PageDocument),
    editorProps: {
      attributes: {
        class: 'written-page',
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-label': t('writePage.thePage'),
      },
    },
  });
  const uploads = useUploads();
  useInsertWhenKept(uploads, (file) => {
    files.set(file.id, file);
    // Behind what is selected: a picture that is selected stays.
    editor.chain().focus().insertContentAt(editor.state.selection.to, contentOf(file)).run();
  });
  return { editor, uploads };
}

/** A picture, sound or film is there itself; of anything else its link. */
function contentOf({ id, name, media, address }: FileView): JSONContent {
  if (media === 'picture') return { type: 'keptPicture', attrs: { fileId: id, alt: '' } };
  if (media === 'sound' || media === 'film') return { type: 'keptMedia', attrs: { fileId: id, media } };
  return {
    type: 'text',
    text: name,
    marks: [{ type: 'link', attrs: { href: new URL(address, window.location.href).href } }],
  };
}

function ConflictChoice({
  autosave,
  onOther,
}: {
  readonly autosave: Autosave;
  readonly onOther: (document: PageDocument) => void;
}): ReactElement {
  const notice = useNotice();
  const choose = (choice: 'mine' | 'other'): void => {
    autosave
      .choose(choice)
      .then((document) => choice === 'other' && onOther(document))
      .catch((error: unknown) => notice({ words: wordsFor(error) }));
  };
  return (
    <div
      role="alert"
      className="mb-3 flex flex-wrap items-center gap-3 rounded-sheet border border-look bg-look-soft px-4 py-3 text-body"
    >
      <span className="min-w-60 flex-1">{t('writePage.thisPageWasChangedIn')}</span>
      <Button onClick={() => choose('other')}>{t('writePage.useTheOtherVersion')}</Button>
      <Button onClick={() => choose('mine')}>{t('writePage.keepThisVersion')}</Button>
    </div>
  );
}

/** Tools and text. Files that are dropped or pasted into it become part of the page. */
function PageSurface({ editor, uploads }: { readonly editor: Editor; readonly uploads: Uploads }): ReactElement {
  const take = (event: DragEvent | ClipboardEvent, files: FileList): void => {
    if (files.length === 0) return;
    event.preventDefault();
    uploads.add([...files]);
  };
  return (
    <div
      className="rounded-sheet border border-line bg-sheet"
      onDrop={(event) => take(event, event.dataTransfer.files)}
      onPaste={(event) => take(event, event.clipboardData.files)}
    >
      <PageToolbar editor={editor}>
        <span className="ml-1">
          <ChooseFiles label={t('writePage.addAFile')} multiple onChoose={uploads.add} />
        </span>
      </PageToolbar>
      {uploads.items.length > 0 && <UploadList uploads={uploads} />}
      <EditorContent editor={editor} />
    </div>
  );
}

/** The editor reads the same JSON; only its own type is wider. An empty page has a paragraph to write in. */
function toContent(document: PageDocument): JSONContent {
  return (document.content.length === 0 ? { type: 'doc', content: [{ type: 'paragraph' }] } : document) as JSONContent;
}

function useInsertWhenKept(uploads: Uploads, insert: (file: FileView) => void): void {
  const latest = useRef(insert);
  useEffect(() => {
    latest.current = insert;
  });
  useEffect(() => {
    const done = uploads.items.find(({ file }) => file !== null);
    if (!done?.file) return;
    latest.current(done.file);
    uploads.remove(done.key);
  }, [uploads]);
}

function Title({
  page,
  onMoved,
}: {
  readonly page: WrittenPageView;
  readonly onMoved: (version: number) => void;
}): ReactElement {
  const notice = useNotice();
  const [title, setTitle] = useState(page.title);
  const kept = useRef(page.title);
  const keep = async (): Promise<void> => {
    const wanted = title.trim();
    if (wanted === '' || wanted === kept.current) return;
    try {
      const { version } = await call(routes.writtenPage, { params: { materialId: page.materialId } });
      const changed = await call(routes.changeMaterial, {
        params: { materialId: page.materialId },
        body: { version, title: wanted },
      });
      kept.current = wanted;
      onMoved(changed.version);
    } catch (error) {
      notice({ words: wordsFor(error) });
    }
  };
  useEffect(() => {
    document.title = `${title} · Hapset`;
  }, [title]);
  return (
    <NameInput
      aria-label={t('writePage.title')}
      value={title}
      maxLength={200}
      onChange={(event) => setTitle(event.target.value)}
      onBlur={() => void keep()}
      className="font-heading text-page leading-tight"
    />
  );
}

const stateWords: Readonly<Record<Exclude<SaveState['is'], 'failed'>, string>> = {
  kept: t('writePage.saved'),
  dirty: t('writePage.writing'),
  keeping: t('writePage.saving'),
  conflict: t('writePage.anotherVersionExists'),
};

function SaveWords({ state }: { readonly state: SaveState }): ReactElement {
  const words = state.is === 'failed' ? t('writePage.notSaved', { words: state.words }) : stateWords[state.is];
  return (
    <span role="status" className={state.is === 'failed' ? 'font-semibold text-stop' : ''}>
      {words}
    </span>
  );
}
