/** Sheets of many codes in one action: choose a kind, see the real pages, look at what is not right, make them. */
import {
  sheetWarnings,
  type BenchView,
  type PrintView,
  type SheetChoices,
  type SheetPlaces,
  type SheetsPreview,
  type SheetWarning,
} from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import { languageOf } from '@hapset/student-texts/languages';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ApiError } from '../../platform/api/problem-error.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { isLike, useDraft, type DraftHandle } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { Panel } from '../../platform/design/panel.js';
import { benchQuery } from '../../lessons/lesson/lesson.queries.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { CodesToPrint } from './codes-to-print.js';
import { MadeDialog } from './made-dialog.js';
import { PageView } from './page-view.js';
import { placesOfAddress } from './places-of-address.js';
import { Prints } from './prints.js';
import { addressOfPlace, SheetNotices } from './sheet-notices.js';
import { SheetOptions } from './sheet-options.js';
import { previewQuery, printOriginQuery, templatesQuery, useMakePrint } from './sheet.queries.js';
import { TemplateDialog } from './template-dialog.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function ComposePage(): ReactElement {
  const [search] = useSearchParams();
  const places = placesOfAddress(search);
  const school = useQuery(schoolQuery);
  const again = search.get('print');
  if (again !== null) return <ComposedAgain key={again} printId={again} />;
  if (places === null)
    return (
      <>
        <PageHead title={t('composePage.sheets')} about={t('composePage.postersTableCardsCardsHandouts')} />
        <p className="mt-0 mb-4 text-body text-muted">{t('composePage.openALessonAndChoose')}</p>
        <Prints empty={t('composePage.yourSheetsAreListedHere')} />
      </>
    );
  if (school.isPending) return <Loading rows={6} label={t('composePage.theComposerIsLoading')} />;
  if (hasFailed(school)) return <Failed words={wordsFor(school.error)} onRetry={() => void school.refetch()} />;
  return (
    <Composer
      key={search.toString()}
      all={places}
      first={plainChoices('poster', school.data.paper, [languageOf(school.data.language)?.tag ?? 'en'])}
    />
  );
}

/** With the codes and choices of a print that was made before. */
function ComposedAgain({ printId }: { readonly printId: string }): ReactElement {
  const origin = useQuery(printOriginQuery(printId));
  if (origin.isPending) return <Loading rows={6} label={t('composePage.theComposerIsLoading')} />;
  if (hasFailed(origin)) return <Failed words={wordsFor(origin.error)} onRetry={() => void origin.refetch()} />;
  return <Composer all={origin.data.places} first={origin.data.choices} />;
}

function Composer({ all, first }: { readonly all: SheetPlaces; readonly first: SheetChoices }): ReactElement {
  const [templating, setTemplating] = useState(false);
  const composition = useComposition(all, first);
  const { choices, change, lessonId, lessonName: name, preview, stations, leftOut, setLeftOut, draft } = composition;
  const templates = useQuery(templatesQuery).data ?? [];
  return (
    <>
      <PageHead
        title={name === undefined ? t('composePage.sheets') : t('composePage.sheetsOf', { name })}
        trail={
          lessonId === null ? (
            <Link to="/shelf">{t('composePage.shelf')}</Link>
          ) : (
            <Link to={`/lessons/${lessonId}`}>{name ?? t('composePage.lesson')}</Link>
          )
        }
        about={aboutPages(preview.data)}
        actions={
          <MakeSheets
            places={composition.places}
            choices={choices}
            notices={preview.data?.notices ?? []}
            disabled={preview.isPending || preview.isError || preview.data.problem !== null}
            lessonId={lessonId}
            onMade={draft.remove}
          />
        }
      />
      <div className="mb-3 empty:hidden">
        <DraftOffer draft={draft} onUse={composition.use} />
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-[370px_minmax(0,1fr)]">
        <Panel>
          <SheetOptions
            choices={choices}
            templates={templates}
            onChange={change}
            onNewTemplate={() => setTemplating(true)}
          />
          {lessonId !== null && stations.length > 1 && (
            <CodesToPrint stations={stations} leftOut={leftOut} onChange={setLeftOut} />
          )}
        </Panel>
        <Pages preview={preview} lessonId={lessonId} onPage={composition.setPage} />
      </div>
      {templating && (
        <TemplateDialog
          kind={choices.kind}
          before={null}
          labels={choices.labels}
          onClose={() => setTemplating(false)}
          onKept={({ id }) => {
            setTemplating(false);
            change({ ...choices, templateId: id });
          }}
        />
      )}
    </>
  );
}

type Preview = UseQueryResult<SheetsPreview>;

interface Composition {
  readonly lessonId: string | null;
  readonly lessonName: string | undefined;
  /** Of the lesson, as far as they have a code. */
  readonly stations: BenchView['rows'];
  readonly leftOut: readonly string[];
  readonly setLeftOut: (stationIds: readonly string[]) => void;
  readonly choices: SheetChoices;
  readonly change: (choices: SheetChoices) => void;
  /** What is printed: all, or those that are not left out. */
  readonly places: SheetPlaces;
  readonly preview: Preview;
  readonly setPage: (page: number) => void;
  readonly draft: DraftHandle<DraftOfSheets>;
  readonly use: (draft: DraftOfSheets) => void;
}

interface DraftOfSheets {
  readonly choices: SheetChoices;
  readonly leftOut: readonly string[];
}

/** What is chosen, and the pages that come of it a moment later. */
function useComposition(all: SheetPlaces, first: SheetChoices): Composition {
  const [choices, setChoices] = useState(first);
  const [page, setPage] = useState(0);
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  const { lessonId } = all;
  const bench = useQuery({ ...benchQuery(lessonId ?? ''), enabled: lessonId !== null });
  const stations = bench.data?.rows.filter(({ code }) => code !== null) ?? [];
  const ids = stations.map(({ stationId }) => stationId).filter((id) => !leftOut.includes(id));
  const places = lessonId !== null && leftOut.length > 0 ? { ...all, lessonId: null, stationIds: ids } : all;
  const request = useDeferredValue(JSON.stringify({ places, choices, page }));
  const preview = useQuery(
    previewQuery(JSON.parse(request) as { places: SheetPlaces; choices: SheetChoices; page: number }),
  );
  const change = (next: SheetChoices): void => {
    setChoices(next);
    // Another kind has other pages; other words on the same pages are looked at where they is.
    if (next.kind !== choices.kind) setPage(0);
  };
  const changed = choices !== first || leftOut.length > 0;
  const draft = useDraft(
    useOwnPlace(`sheets ${JSON.stringify(all)}`),
    changed ? { choices, leftOut } : null,
    (value): value is DraftOfSheets =>
      isLike({ choices: first, leftOut: [] as readonly string[] })(value) && isLike(first)(value.choices),
  );
  const use = (found: DraftOfSheets): void => {
    change(found.choices);
    setLeftOut(found.leftOut);
  };
  const lessonName = bench.data?.lesson.name;
  const chosen = { leftOut, setLeftOut, choices, change, draft, use };
  return { lessonId, lessonName, stations, ...chosen, places, preview, setPage };
}

function aboutPages(preview: SheetsPreview | undefined): string {
  const seen = t('composePage.thePreviewIsExactlyWhat');
  return preview
    ? t('composePage.codesOn', { count: preview.codes, pages: t('composePage.pages', { count: preview.pages }), seen })
    : seen;
}

function Pages({
  preview,
  lessonId,
  onPage,
}: {
  readonly preview: Preview;
  readonly lessonId: string | null;
  readonly onPage: (page: number) => void;
}): ReactElement {
  const { data } = preview;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      {data && data.notices.length > 0 && (
        <Panel title={t('composePage.checkBeforeYouPrint')}>
          <SheetNotices notices={data.notices} lessonId={lessonId} />
        </Panel>
      )}
      {preview.isPending && <Loading rows={6} label={t('composePage.preparingThePages')} />}
      {hasFailed(preview) && <Failed words={wordsFor(preview.error)} onRetry={() => void preview.refetch()} />}
      {data && <PageView preview={data} fresh={!preview.isPlaceholderData} onPage={onPage} />}
    </div>
  );
}

interface MakeProps {
  readonly places: SheetPlaces;
  readonly choices: SheetChoices;
  readonly notices: Parameters<typeof SheetNotices>[0]['notices'];
  readonly disabled: boolean;
  readonly lessonId: string | null;
  readonly onMade: () => void;
}

/** The safe choice has the focus. */
const focusOnce = (link: HTMLAnchorElement | null): void => link?.focus();

/** What is not right is named first, and printed only on purpose. */
function MakeSheets({ places, choices, notices, disabled, lessonId, onMade }: MakeProps): ReactElement {
  const make = useMakePrint();
  const sendChange = useSendChange();
  const [made, setMade] = useState<string | null>(null);
  const send = (goAhead: readonly SheetWarning[]): void => {
    const onSuccess = (print: PrintView): void => {
      onMade();
      setMade(print.id);
    };
    sendChange(make, { places, choices, goAhead }, { onSuccess, onError: null });
  };
  const { error } = make;
  const warnings =
    error instanceof ApiError && error.reason === 'sheet-needs-go-ahead'
      ? sheetWarnings.filter((warning) => error.warnings.includes(warning))
      : [];
  const named = notices.filter(({ warning }) => warnings.includes(warning));
  const first = sheetWarnings.flatMap((warning) => named.find((each) => each.warning === warning) ?? [])[0];
  return (
    <>
      <Button tone="main" disabled={disabled || make.isPending} onClick={() => send([])}>
        {make.isPending ? t('composePage.making') : t('composePage.makeTheSheets')}
      </Button>
      {error && (
        <Dialog
          title={warnings.length > 0 ? t('composePage.checkBeforeYouPrint') : t('composePage.theSheetsWereNotMade')}
          onClose={() => make.reset()}
        >
          {warnings.length === 0 ? (
            <p className="m-0">{wordsFor(error)}</p>
          ) : (
            <SheetNotices notices={named} lessonId={lessonId} />
          )}
          <div className="mt-5 flex justify-end gap-2">
            {warnings.length > 0 && <Button onClick={() => send(warnings)}>{t('composePage.printAnyway')}</Button>}
            {first ? (
              <Link ref={focusOnce} to={addressOfPlace(first, lessonId)} className={buttonClass('main')}>
                {t('composePage.fixFirst', { name: first.name })}
              </Link>
            ) : (
              <Button tone="main" autoFocus onClick={() => make.reset()}>
                {t('composePage.close')}
              </Button>
            )}
          </div>
        </Dialog>
      )}
      {made !== null && <MadeDialog title={t('composePage.yourSheets')} printId={made} onClose={() => setMade(null)} />}
    </>
  );
}
