/** Imports a roster from a file or the clipboard: columns, problems, a comparison with who is known, and earlier imports. */
import { likeliestRoster, rosterLimits } from '@hapset/core';
import { useState, type ClipboardEvent, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { Alert } from '../../platform/design/alert.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { PasteArea } from '../../platform/design/inputs.js';
import { Empty } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import type { ListFileOptions } from '../../platform/table-file/list-file.js';
import { parseCells } from '../../platform/table-file/table.js';
import { listFileWords } from '../../platform/wording/list-files.js';
import { t } from '../words.js';
import { EarlierImports } from './earlier-imports.js';
import { RosterReview, type OpenedList } from './roster-review.js';

/** All students that may be, and the rows above and below them. */
const mostRows = rosterLimits.students + 50;

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
        <RosterReview
          key={`${opened.name} ${opened.encoding ?? ''} ${opened.sheet ?? ''} ${opened.rows.length}`}
          opened={opened}
          onEncoding={(encoding) => opened.file && void open(opened.file, { encoding })}
          onSheet={(sheet) => opened.file && void open(opened.file, { sheet })}
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
  readonly open: (file: File, chosen?: Pick<ListFileOptions, 'encoding' | 'sheet'>) => Promise<void>;
  readonly paste: (event: ClipboardEvent) => void;
  readonly close: () => void;
} {
  const [opened, setOpened] = useState<OpenedList | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (file: File, chosen: Pick<ListFileOptions, 'encoding' | 'sheet'> = {}): Promise<void> => {
    // The library for workbooks is large and seldom needed.
    const { readListFile } = await import('../../platform/table-file/list-file.js');
    const list = await readListFile(file, { ...chosen, keepEmpty: true, mostRows, chooseSheet: likeliestRoster });
    setProblem(list.ok ? null : listFileWords[list.problem]);
    if (list.ok) setOpened({ ...list, file });
  };
  const paste = (event: ClipboardEvent): void => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim() === '') return;
    event.preventDefault();
    setProblem(null);
    const rows = parseCells(text, { keepEmpty: true });
    setOpened({
      name: t('importPage.pastedCells'),
      rows,
      cut: false,
      encoding: null,
      sheet: null,
      sheets: [],
      file: null,
    });
  };
  return { opened, problem, open, paste, close: () => setOpened(null) };
}
