/** The intake: paste links or write a message; what was understood is seen before it becomes a material. */
import { Plus } from 'lucide';
import { lazy, Suspense, useEffect, useRef, type ReactElement, type ReactNode, type RefObject } from 'react';
import { useLocation } from 'react-router';
import { Button } from '../../platform/design/button.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { isText, useDraft, type DraftHandle } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { ChooseFile, ChooseFiles } from '../../platform/design/choose-file.js';
import { useCatalogue } from '../service-description/use-catalogue.js';
import { firstAnswer } from './intake-question.js';
import { Icon } from '../../platform/design/icon.js';
import { textOfHtml } from './rich-text.js';
import { useIntake, type AddItems, type IntakeHandle } from './use-intake.js';
import { usePasteAnywhere } from './use-paste-anywhere.js';
import { GrowingArea, LineInput } from '../../platform/design/inputs.js';
import { Alert } from '../../platform/design/alert.js';
import { t } from '../words.js';

// What is seen of more than one plain thing comes when there is some.
const IntakeReview = lazy(() =>
  import('./intake-review.js').then(({ IntakeReview: component }) => ({ default: component })),
);
const FileTray = lazy(() =>
  import('../upload/file-tray.js').then(({ FileTray: component }) => ({ default: component })),
);
const ColumnMapping = lazy(() =>
  import('./column-mapping.js').then(({ ColumnMapping: component }) => ({ default: component })),
);

interface Props {
  readonly label: string;
  readonly placeholder: string;
  /** What one of the things becomes: "station", "material". */
  readonly noun: 'station' | 'material';
  /** Links that are here already. */
  readonly here: readonly string[];
  /** Of the class whose devices are to read it; null for all of the school's. */
  readonly classId?: string | null;
  /** True on a bench: materials from the shelf are added to the lesson. On other pages, a link that is already on the shelf opens its material. */
  readonly intoLesson?: boolean;
  readonly onAdd: AddItems;
  /** Beside the ways to add files and lists. */
  readonly ways?: ReactNode;
  readonly autoFocus?: boolean;
  /** Text to begin with, given by another page. */
  readonly initial?: string;
}

export function Intake({
  label,
  placeholder,
  noun,
  here,
  classId = null,
  autoFocus = false,
  ...props
}: Props): ReactElement {
  const { intake, draft } = useIntakeWithDraft({ here, onAdd: props.onAdd, initial: props.initial ?? '' });
  const { state, dispatch, source } = intake;
  const { text, list, files, failure } = state;
  const field = useRef<HTMLTextAreaElement>(null);
  const empty = text === '' && list === null;
  usePasteAnywhere(
    (pasted) => {
      dispatch({ kind: 'text', text: pasted });
      field.current?.focus();
    },
    (pasted) => dispatch({ kind: 'files', files: pasted }),
  );
  return (
    <div
      aria-busy={intake.asking}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        intake.takeDropped([...event.dataTransfer.files]);
      }}
      className={`rounded-sheet border bg-sheet/60 ${empty ? 'border-dashed border-line-strong' : 'border-ink bg-sheet'}`}
    >
      <WhatRow
        {...{ intake, noun, empty, field, label, placeholder, autoFocus }}
        intoLesson={props.intoLesson ?? false}
        ways={props.ways}
      />
      <div className="px-3 pb-3 empty:hidden">
        <DraftOffer draft={draft} onUse={(found) => dispatch({ kind: 'text', text: found })} />
      </div>
      <Reading source={source} />
      {!empty && <Understood intake={intake} classId={classId} />}
      {files && (
        <Suspense>
          <FileTray
            files={files}
            noun={noun}
            onAdd={(items) => props.onAdd(items, [])}
            onClose={() => dispatch({ kind: 'files', files: null })}
          />
        </Suspense>
      )}
      {failure !== null && <Alert words={failure} className="m-0 border-t border-line px-4 py-2.5" />}
    </div>
  );
}

/** With a draft for each page that has an intake. What another page gave to begin with is that page's. */
function useIntakeWithDraft({ here, onAdd, initial }: Parameters<typeof useIntake>[0]): {
  readonly intake: IntakeHandle;
  readonly draft: DraftHandle<string>;
} {
  // The page is often left as soon as something is added.
  const removeDraft = useRef((): void => undefined);
  const intake = useIntake({
    here,
    onAdd: (items, materialIds) => onAdd(items, materialIds).then(() => removeDraft.current()),
    initial,
  });
  const { text } = intake.state;
  const at = useOwnPlace(`intake ${useLocation().pathname}`);
  const draft = useDraft(at, text === '' || text === initial ? null : text, isText);
  useUnsaved(text !== '' && text !== initial && !intake.state.sending, draft.remove);
  useEffect(() => {
    removeDraft.current = draft.remove;
  });
  return { intake, draft };
}

function Reading({ source: { items, left } }: Pick<IntakeHandle, 'source'>): ReactElement | null {
  if (left === 0 || items.length + left <= 1) return null;
  return (
    <p role="status" className="m-0 border-t border-line px-4 py-2 text-row text-muted">
      {t('intake.readingOf', { read: items.length, total: items.length + left })}
    </p>
  );
}

interface WhatProps extends Pick<Props, 'label' | 'placeholder'> {
  readonly intake: IntakeHandle;
  readonly autoFocus: boolean;
  readonly field: RefObject<HTMLTextAreaElement | null>;
}

function WhatRow({
  noun,
  empty,
  intoLesson,
  ways,
  ...what
}: WhatProps & {
  readonly noun: 'station' | 'material';
  readonly empty: boolean;
  readonly intoLesson: boolean;
  readonly ways: ReactNode;
}): ReactElement {
  const { intake } = what;
  const { dispatch } = intake;
  return (
    <div className="flex flex-wrap items-start gap-x-3 gap-y-1 px-4 py-2.5 sm:flex-nowrap">
      <Icon icon={Plus} size={18} className="mt-2 shrink-0 text-muted" />
      <What {...what} />
      {empty ? (
        <EmptyActions
          onFiles={(chosen) => dispatch({ kind: 'files', files: chosen })}
          onList={(chosen) => void intake.readList(chosen)}
          ways={ways}
        />
      ) : (
        <Actions intake={intake} noun={noun} intoLesson={intoLesson} />
      )}
    </div>
  );
}

/** The field, or in its place what is too long for one. */
function What({
  intake: { state, source, questions, dispatch, add },
  label,
  placeholder,
  autoFocus,
  field,
}: WhatProps): ReactElement {
  const { text, list } = state;
  if (list)
    return (
      <p className="m-0 flex-1 py-1.5 text-field">
        {t(list.cut ? 'intake.listFromItsFirst5' : 'intake.listFrom', { name: list.name })}
      </p>
    );
  if (isLong(text))
    return (
      <p className="m-0 flex-1 py-1.5 text-field">
        {t('intake.linesPasted', { count: source.items.length + source.left })}
      </p>
    );
  return (
    <GrowingArea
      ref={field}
      aria-label={label}
      placeholder={placeholder}
      autoFocus={autoFocus}
      rows={Math.min(8, Math.max(1, text.split('\n', 9).length))}
      value={text}
      onChange={(event) => dispatch({ kind: 'text', text: event.target.value })}
      onPaste={(event) => {
        const rich = textOfHtml(event.clipboardData.getData('text/html'));
        if (rich === null || text !== '') return;
        event.preventDefault();
        dispatch({ kind: 'text', text: rich });
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.shiftKey || text.trim() === '') return;
        event.preventDefault();
        if (questions > 0) document.querySelector<HTMLElement>(firstAnswer)?.focus();
        else add();
      }}
    />
  );
}

function Actions({
  intake: { state, dispatch, materials, uses, mayAdd, add },
  noun,
  intoLesson,
}: {
  readonly intake: IntakeHandle;
  readonly noun: 'station' | 'material';
  readonly intoLesson: boolean;
}): ReactElement {
  const count = materials.length + (intoLesson ? uses.length : 0);
  const words =
    materials.length === 0 && uses.length === 1
      ? t('intake.useThat')
      : count < 2
        ? t('intake.add')
        : t(`intake.add-${noun}`, { count: count });
  return (
    <>
      {(state.list !== null || isLong(state.text)) && (
        <Button onClick={() => dispatch({ kind: 'text', text: '' })}>{t('intake.discard')}</Button>
      )}
      <Button tone="main" onClick={add} disabled={!mayAdd}>
        {state.sending ? t('intake.adding') : words}
      </Button>
    </>
  );
}

/** What was understood, seen before it is added. */
function Understood({
  intake: { state, dispatch, source, rows, questions },
  classId,
}: {
  readonly intake: IntakeHandle;
  readonly classId: string | null;
}): ReactElement {
  const catalogue = useCatalogue();
  return (
    <>
      <Suspense>
        {source.table && (
          <ColumnMapping
            rows={source.table.rows}
            columns={source.table.columns}
            onChange={(columns) => dispatch({ kind: 'columns', columns })}
          />
        )}
      </Suspense>
      <Suspense>
        <IntakeReview rows={rows} catalogue={catalogue} dispatch={dispatch} classId={classId} />
        {questions > 0 && (
          <p role="status" className="m-0 border-t border-line px-4 py-2 text-row text-muted">
            {t('intake.questionsToAnswerBeforeYou', { count: questions })}
          </p>
        )}
        {rows.length > 1 && <TagsForAll state={state} dispatch={dispatch} />}
      </Suspense>
    </>
  );
}

function TagsForAll({ state, dispatch }: Pick<IntakeHandle, 'state' | 'dispatch'>): ReactElement {
  return (
    <label className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line px-4 py-2.5 text-row">
      <span className="text-muted">{t('intake.tagsForAllOfThem')}</span>
      <LineInput
        value={state.tags}
        onChange={(event) => dispatch({ kind: 'tags', tags: event.target.value })}
        placeholder={t('intake.vocabularyRecorder')}
        className="min-w-40 flex-1 text-field"
      />
    </label>
  );
}

/** Longer texts are reviewed but not laid out in the field: thousands of lines there would hold the page up. Characters. */
const editableLength = 20_000;

function isLong(text: string): boolean {
  return text.length > editableLength;
}

/** What is at the end of an empty row: files to keep, a list to import, and the key that pastes. */
function EmptyActions({
  onFiles,
  onList,
  ways,
}: {
  readonly onFiles: (files: readonly File[]) => void;
  readonly onList: (file: File) => void;
  readonly ways: ReactNode;
}): ReactElement {
  return (
    <span className="flex flex-wrap items-center gap-x-3 sm:shrink-0">
      {ways}
      <ChooseFiles label={t('intake.filesOrPhotos')} multiple onChoose={onFiles} />
      <ChooseFile label={t('intake.importAList')} accept=".csv,.tsv,.txt,.xlsx,.ods" onChoose={onList} />
      <kbd className="hidden rounded-step border border-line-strong bg-sheet px-2 py-0.5 font-mono text-fine sm:block">
        {t('intake.ctrlV')}
      </kbd>
    </span>
  );
}
