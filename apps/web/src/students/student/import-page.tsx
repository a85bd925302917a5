/** Imports a roster from a file or the clipboard: columns, problems, a comparison with who is known, and earlier imports. */
import {
  guessRosterColumns,
  readRoster,
  rosterLimits,
  rosterRoles,
  tellingNames,
  type RosterColumns,
  type RosterStudent,
  type SameId,
} from '@hapset/core';
import type { ImportedStudent, RosterComparisonView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ClipboardEvent, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { ChoiceField } from '../../platform/design/field.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { isLike, useDraft, type DraftHandle } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { Panel } from '../../platform/design/panel.js';
import type { Encoding } from '../../platform/table-file/list-file.js';
import { parseCells, type Rows } from '../../platform/table-file/table.js';
import { Tick } from '../../platform/design/tick.js';
import { PageHead } from '../../platform/design/page-head.js';
import { listFileWords } from '../../platform/wording/list-files.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { encodingWords } from '../../platform/wording/students.js';
import { Comparison } from './comparison.js';
import { EarlierImports } from './earlier-imports.js';
import { RosterMapping } from './roster-mapping.js';
import { comparisonQuery, useImportRoster } from './roster.queries.js';
import { RosterProblems } from './roster-problems.js';
import { PasteArea } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

interface OpenedList {
  readonly name: string;
  readonly rows: Rows;
  readonly cut: boolean;
  readonly encoding: Encoding | null;
  /** Null for pasted cells. */
  readonly file: File | null;
}

/** All students that may be, and the rows above and below them. */
const mostRows = rosterLimits.students + 50;
const encodingChoices = Object.keys(encodingWords) as Encoding[];
const sameIdWords = { first: t('importPage.useTheFirstRow'), last: t('importPage.useTheLastRow') } as const;

export function ImportRosterPage(): ReactElement {
  const mayImport = useSession()?.role !== 'teacher';
  return (
    <>
      <PageHead
        title={t('importPage.importRoster')}
        trail={<Link to="/school/students">{t('importPage.students')}</Link>}
        about={t('importPage.cSVXLSXOrODSOr')}
      />
      {mayImport ? (
        <Importing />
      ) : (
        <Empty title={t('importPage.rostersComeFromTheOffice')}>
          {t('importPage.theSchoolsOfficeAndAdministrators')}
        </Empty>
      )}
    </>
  );
}

function Importing(): ReactElement {
  const { opened, problem, open, paste, close } = useOpenedList();
  return (
    <div className="flex flex-col gap-4">
      <section
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          const [file] = event.dataTransfer.files;
          if (file) void open(file);
        }}
        className="rounded-sheet border border-dashed border-line-strong px-4 py-4 sm:px-5"
      >
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <ChooseFile
            label={t('importPage.chooseAFile')}
            accept=".csv,.tsv,.txt,.xlsx,.ods"
            onChoose={(file) => void open(file)}
          />
          <span className="text-body text-muted">{t('importPage.orDropOneHereOr')}</span>
          <PasteArea
            aria-label={t('importPage.pasteCellsHere')}
            onPaste={paste}
            placeholder={t('importPage.pasteHere')}
          />
        </div>
        {problem !== null && <Alert words={problem} className="mt-2 mb-0" />}
      </section>
      {opened ? (
        <Roster
          key={`${opened.name} ${opened.encoding ?? ''} ${opened.rows.length}`}
          opened={opened}
          onEncoding={(encoding) => opened.file && void open(opened.file, encoding)}
          onDone={close}
        />
      ) : (
        <EarlierImports />
      )}
    </div>
  );
}

/** A list out of a file or the clipboard, or what is wrong with it. */
function useOpenedList(): {
  readonly opened: OpenedList | null;
  readonly problem: string | null;
  readonly open: (file: File, encoding?: Encoding | null) => Promise<void>;
  readonly paste: (event: ClipboardEvent) => void;
  readonly close: () => void;
} {
  const [opened, setOpened] = useState<OpenedList | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (file: File, encoding: Encoding | null = null): Promise<void> => {
    // The library for workbooks is large and seldom needed.
    const { readListFile } = await import('../../platform/table-file/list-file.js');
    const list = await readListFile(file, { encoding, keepEmpty: true, mostRows });
    setProblem(list.ok ? null : listFileWords[list.problem]);
    if (list.ok) setOpened({ ...list, file });
  };
  const paste = (event: ClipboardEvent): void => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim() === '') return;
    event.preventDefault();
    setProblem(null);
    const rows = parseCells(text, { keepEmpty: true });
    setOpened({ name: t('importPage.pastedCells'), rows, cut: false, encoding: null, file: null });
  };
  return { opened, problem, open, paste, close: () => setOpened(null) };
}

interface RosterProps {
  readonly opened: OpenedList;
  readonly onEncoding: (encoding: Encoding) => void;
  readonly onDone: () => void;
}

function Roster({ opened, onEncoding, onDone }: RosterProps): ReactElement {
  const { name, rows, cut } = opened;
  const { columns, setColumns, draft } = useColumns(rows);
  const [sameId, setSameId] = useState<SameId>('first');
  const { students: read, problems } = useMemo(() => readRoster(rows, columns, sameId), [rows, columns, sameId]);
  const students = useMemo(() => read.slice(0, rosterLimits.students), [read]);
  const imported = useMemo(() => students.map(toImported), [students]);
  const named = columns.roles.some((role) => role === 'name' || role === 'given' || role === 'family');
  return (
    <>
      <Panel
        title={name}
        aside={t(cut || read.length > students.length ? 'importPage.onlyTheFirstStudents' : 'importPage.students2', {
          count: students.length,
        })}
      >
        <div className="mb-2 flex flex-wrap gap-4">
          {opened.encoding !== null && (
            <ChoiceField
              label={t('importPage.textEncoding')}
              choices={encodingChoices}
              words={encodingWords}
              value={opened.encoding}
              hint={t('importPage.changeThisIfNamesLook')}
              onChange={(event) => onEncoding(event.target.value as Encoding)}
            />
          )}
          {problems.some(({ reason }) => reason === 'same-id') && (
            <ChoiceField
              label={t('importPage.ifAnIdAppearsTwice')}
              choices={['first', 'last']}
              words={sameIdWords}
              value={sameId}
              onChange={(event) => setSameId(event.target.value as SameId)}
            />
          )}
        </div>
        <DraftOffer draft={draft} onUse={setColumns} />
        <RosterMapping rows={rows} columns={columns} onChange={setColumns} />
        {named && <TellingNames students={students} />}
        {!named && <Alert words={t('importPage.chooseTheColumnThatHolds')} className="mt-2 mb-0" />}
      </Panel>
      <RosterProblems problems={problems} />
      {named && students.length > 0 && (
        <WhatWouldChange
          imported={imported}
          fileName={name}
          onDone={() => {
            draft.remove();
            onDone();
          }}
        />
      )}
    </>
  );
}

const namesShown = 8;

/** Large enough to see each accent: read in a wrong encoding, names look almost right. */
function TellingNames({ students }: { readonly students: readonly RosterStudent[] }): ReactElement | null {
  const shown = useMemo(
    () =>
      tellingNames(
        students.map(({ name }) => name),
        namesShown,
      ),
    [students],
  );
  if (shown.length === 0) return null;
  return (
    <section aria-label={t('importPage.areTheseNamesRight')} className="mt-3">
      <h3 className="m-0 text-lead font-semibold">{t('importPage.areTheseNamesRight')}</h3>
      <ul className="m-0 mt-1 flex list-none flex-wrap gap-x-6 gap-y-1 p-0 text-answer">
        {shown.map((name) => (
          <li key={name}>{name}</li>
        ))}
      </ul>
    </section>
  );
}

/**
 * What each column holds: guessed, or as somebody said. That is kept as a draft for lists with the same columns; the
 * cells themselves, with names of students, are never kept.
 */
function useColumns(rows: Rows): {
  readonly columns: RosterColumns;
  readonly setColumns: (columns: RosterColumns) => void;
  readonly draft: DraftHandle<RosterColumns>;
} {
  const guessed = useMemo(
    () => guessRosterColumns(rows.filter((row) => row.some((cell) => cell.trim() !== ''))),
    [rows],
  );
  const [said, setColumns] = useState<RosterColumns | null>(null);
  const isColumns = (value: unknown): value is RosterColumns =>
    isLike(guessed)(value) &&
    value.roles.length === guessed.roles.length &&
    value.roles.every((role) => rosterRoles.includes(role));
  const place = useOwnPlace(`roster columns ${guessed.roles.join('-')}`);
  return { columns: said ?? guessed, setColumns, draft: useDraft(place, said, isColumns) };
}

function toImported({ schoolId, prefix, given, middle, family, className, year }: RosterStudent): ImportedStudent {
  return { schoolId, prefix, given, middle, family, className, year };
}

interface ChangeProps {
  readonly imported: readonly ImportedStudent[];
  readonly fileName: string;
  readonly onDone: () => void;
}

/** Compared with who is known, and imported when it is as it should be. */
function WhatWouldChange({ imported, fileName, onDone }: ChangeProps): ReactElement {
  const comparison = useQuery(comparisonQuery(imported));
  return (
    <Panel title={t('importPage.whatWouldChange')}>
      {comparison.isPending && <Loading rows={2} label={t('importPage.comparingWithTheCurrentRoster')} />}
      {hasFailed(comparison) && <Failed words={wordsFor(comparison.error)} onRetry={() => void comparison.refetch()} />}
      {comparison.data && (
        <>
          <Comparison comparison={comparison.data} />
          <ImportIt
            comparison={comparison.data}
            count={imported.length}
            fileName={fileName}
            onDone={onDone}
            onGone={() => void comparison.refetch()}
          />
        </>
      )}
    </Panel>
  );
}

function ImportIt({
  comparison: { id, added, changed, leftOut },
  count,
  fileName,
  onDone,
  onGone,
}: Pick<ChangeProps, 'fileName' | 'onDone'> & {
  readonly comparison: RosterComparisonView;
  readonly count: number;
  /** The server does not know it any more: it has to be compared again. */
  readonly onGone: () => void;
}): ReactElement {
  const [leave, setLeave] = useState(false);
  const importing = useImportRoster();
  const notice = useNotice();
  const sendChange = useSendChange();
  const nothingToDo = added + changed === 0 && !(leave && leftOut > 0);
  const send = (): void =>
    sendChange(
      importing,
      { rosterComparisonId: id, leave, fileName },
      {
        onError: (error) => error instanceof ApiError && error.reason === 'not-found' && onGone(),
        onSuccess: (done) => {
          onDone();
          notice({
            words: t('importPage.addedChangedLeftTheSchool', {
              added: done.added,
              changed: done.changed,
              left: done.left,
            }),
          });
        },
      },
    );
  return (
    <>
      {leftOut > 0 && (
        <Tick words={t('importPage.markStudentsWhoAreNo', { leftOut })} ticked={leave} onTick={setLeave} />
      )}
      {importing.isError && <Alert words={wordsFor(importing.error)} />}
      <div className="mt-3 flex gap-2">
        <Button tone="main" disabled={importing.isPending || nothingToDo} onClick={send}>
          {importing.isPending ? t('importPage.importing') : t('importPage.importStudents', { count })}
        </Button>
        <Button onClick={onDone}>{t('importPage.cancel')}</Button>
      </div>
    </>
  );
}
