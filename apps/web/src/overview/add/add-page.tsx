/** Everything that can become a material, from wherever it comes: pasted, filled in, added by bookmark, or shared by a phone. */
import type { LessonRow, NewMaterial } from '@hapset/contract';
import {
  contentKinds,
  contentText,
  documentFromText,
  emptyDocument,
  titleFromWords,
  type ContentKind,
} from '@hapset/core';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { Intake } from '../../gather/intake/intake.js';
import { KindForm } from '../../code/content/kind-form.js';
import { MessageForm } from '../../code/content/message-form.js';
import { lessonsQuery, useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { useCreateMaterials } from '../../gather/material/material.queries.js';
import { KindIcon } from '../../gather/material/kind-icon.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { PageHead } from '../../platform/design/page-head.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { PageButton } from './page-button.js';
import { sharedText, sharedWords } from './shared-page.js';
import { useAddTo } from './use-add-to.js';
import { useDevicesOf } from '../../school/school-class/use-devices-of.js';
import { SelectInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function AddPage(): ReactElement {
  const [search] = useSearchParams();
  const [lessonId, setLessonId] = useState(search.get('lesson') ?? '');
  const addTo = useAddTo(lessonId === '' ? null : lessonId);
  const add: typeof addTo = (items, materialIds) => addTo(withSharedWords(items, sharedWords(search)), materialIds);
  const classId = useLessonRows().find((lesson) => lesson.id === lessonId)?.classId ?? null;
  return (
    <>
      <PageHead
        title={t('addPage.addSomething')}
        about={t('addPage.pasteALinkFillIn')}
        actions={<GoesTo lessonId={lessonId} onChange={setLessonId} />}
      />
      <div className="flex flex-col gap-4">
        <Intake
          label={t('addPage.whatShouldStudentsOpen')}
          placeholder={t('addPage.pasteLinksDropFilesOr')}
          noun={lessonId === '' ? 'material' : 'station'}
          here={[]}
          classId={classId}
          intoLesson={lessonId !== ''}
          initial={sharedText(search)}
          autoFocus
          onAdd={add}
        />
        <WriteOne lessonId={lessonId === '' ? null : lessonId} />
        <KindChooser classId={classId} onAdd={(item) => add([item], [])} />
        <PageButton />
      </div>
    </>
  );
}

/** What was seen where the link came from goes with it: what students get is compared with that. */
function withSharedWords(
  items: readonly NewMaterial[],
  shared: ReturnType<typeof sharedWords>,
): readonly NewMaterial[] {
  if (!shared) return items;
  return items.map((item) => (item.pasted.includes(shared.link) ? { ...item, teacherSaw: shared.words } : item));
}

/** Makes an empty page and opens its editor, which leads back to the lesson or to the page's code. */
function useBeginPage(lessonId: string | null): () => Promise<void> {
  const navigate = useNavigate();
  const create = useCreateMaterials();
  const addStations = useAddStations(lessonId ?? '');
  return async () => {
    const [materialId = ''] = await create.mutateAsync([
      {
        kept: { kind: 'written-page', document: emptyDocument },
        title: t('addPage.newPage'),
        pasted: t('addPage.newPage'),
        repairs: [],
      },
    ]);
    if (lessonId !== null) await addStations.mutateAsync({ items: [], materialIds: [materialId] });
    const done = lessonId === null ? `/shelf/${materialId}` : `/lessons/${lessonId}`;
    await navigate(`/shelf/${materialId}/write`, { state: { done } });
  };
}

/** A page written here: it is made first, and then written. */
function WriteOne({ lessonId }: { readonly lessonId: string | null }): ReactElement {
  const notice = useNotice();
  const begin = useBeginPage(lessonId);
  const write = (): void => void begin().catch((error: unknown) => notice({ words: wordsFor(error) }));
  return (
    <Panel title={t('addPage.onTheSchoolsServer')} aside={t('addPage.onTheSchoolsServerWith')}>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button
          type="button"
          onClick={write}
          className="flex min-h-10 items-center gap-2 rounded-small border border-line-strong bg-sheet px-3.5 text-body font-semibold hover:border-ink"
        >
          <KindIcon kind="written-page" size={16} /> {t('addPage.writeAPage')}
        </button>
        <span className="text-row text-muted">{t('addPage.orDropOrPastePictures')}</span>
      </div>
    </Panel>
  );
}

function useLessonRows(): readonly LessonRow[] {
  return useInfiniteQuery(lessonsQuery).data?.pages.flatMap((page) => page.rows) ?? [];
}

function GoesTo({
  lessonId,
  onChange,
}: {
  readonly lessonId: string;
  readonly onChange: (lessonId: string) => void;
}): ReactElement {
  const lessons = useLessonRows();
  return (
    <label className="flex items-center gap-2.5 text-body">
      <span className="text-muted">{t('addPage.addTo')}</span>
      <SelectInput
        value={lessonId}
        onChange={(event) => onChange(event.target.value)}
        className="max-w-64 font-semibold"
      >
        <option value="">{t('addPage.theShelf')}</option>
        {lessons.map((lesson) => (
          <option key={lesson.id} value={lesson.id}>
            {lesson.name}
          </option>
        ))}
      </SelectInput>
    </label>
  );
}

/** @param classId of the class whose devices are to read it; null for all of the school's */
function KindChooser({
  classId,
  onAdd,
}: {
  readonly classId: string | null;
  readonly onAdd: (item: NewMaterial) => Promise<unknown>;
}): ReactElement {
  const school = useQuery(schoolQuery).data;
  const devices = useDevicesOf(classId);
  const [kind, setKind] = useState<ContentKind | 'message' | null>(null);
  const [sending, setSending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const send = (item: Omit<NewMaterial, 'pasted' | 'repairs'>, pasted: string, saved: () => void): void => {
    setSending(true);
    setFailure(null);
    onAdd({ ...item, pasted, repairs: [] })
      .then(saved)
      .catch((error: unknown) => setFailure(wordsFor(error)))
      .finally(() => setSending(false));
  };
  return (
    <Panel title={t('addPage.inTheCode')} aside={t('addPage.needsNoNetworkAndNo')}>
      <KindButtons kind={kind} onChoose={setKind} />
      {kind === 'message' && (
        <div className="mt-4 border-t border-line pt-4">
          <MessageForm
            devices={devices}
            send={t('addPage.addIt')}
            sending={sending}
            failure={failure}
            onSend={(words, saved) => send({ words }, words, saved)}
            onPage={(words, saved) => send(asPage(words), 'A page', saved)}
          />
        </div>
      )}
      {kind !== null && kind !== 'message' && school && (
        <div className="mt-4 border-t border-line pt-4">
          <KindForm
            key={kind}
            kind={kind}
            school={school}
            devices={devices}
            send={t('addPage.addIt')}
            sending={sending}
            failure={failure}
            place={`${kind} new`}
            onSend={(content, saved) => send({ content }, kindWords[kind], saved)}
            onPage={(content) => send(asPage(contentText(content)), 'A page', () => undefined)}
          />
        </div>
      )}
    </Panel>
  );
}

function KindButtons({
  kind,
  onChoose,
}: {
  readonly kind: ContentKind | 'message' | null;
  readonly onChoose: (kind: ContentKind | 'message' | null) => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label={t('addPage.kind')}>
      {(['message', ...contentKinds] as const).map((choice) => (
        <button
          key={choice}
          type="button"
          aria-pressed={choice === kind}
          onClick={() => onChoose(choice === kind ? null : choice)}
          className={`flex min-h-10 items-center gap-2 rounded-small border px-3.5 text-body font-semibold ${choice === kind ? 'border-marker-line bg-marker-soft' : 'border-line-strong bg-sheet hover:border-ink'}`}
        >
          <KindIcon kind={choice} size={16} /> {kindWords[choice]}
        </button>
      ))}
    </div>
  );
}

/** What is too long for a code, as a page of its own; its first words are its name. */
function asPage(text: string): Pick<NewMaterial, 'kept' | 'title'> {
  return { kept: { kind: 'written-page', document: documentFromText(text) }, title: titleFromWords(text) };
}
