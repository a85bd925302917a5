/** A list that was opened: its columns and rows, its problems, and what its import would change. */
import {
  readRoster,
  rosterLimits,
  tellingNames,
  textEncodings,
  type RosterRole,
  type RosterStudent,
  type SameId,
  type TextEncoding,
} from '@hapset/core';
import type { ImportedStudent } from '@hapset/contract';
import { useMemo, useState, type ReactElement, type ReactNode } from 'react';
import { Alert } from '../../platform/design/alert.js';
import { ChoiceField } from '../../platform/design/field.js';
import { Panel } from '../../platform/design/panel.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import type { ReadList } from '../../platform/table-file/list-file.js';
import { encodingWords } from '../../platform/wording/students.js';
import { t } from '../words.js';
import { RosterProblems } from './roster-problems.js';
import { RosterTable } from './roster-table.js';
import { useRosterLayout } from './use-roster-layout.js';
import { WhatWouldChange } from './what-would-change.js';

/** A list out of a file or the clipboard. */
export interface OpenedList extends ReadList {
  /** Null for pasted cells. */
  readonly file: File | null;
}

const sameIdWords = { first: t('importPage.useTheFirstRow'), last: t('importPage.useTheLastRow') } as const;
const nameRoles: readonly RosterRole[] = ['name', 'familyFirst', 'given', 'family'];

interface RosterProps {
  readonly opened: OpenedList;
  readonly onEncoding: (encoding: TextEncoding) => void;
  readonly onSheet: (sheet: string) => void;
  readonly onDone: () => void;
}

/** What is understood of a list, what is wrong with it, and what its import would change. */
export function RosterReview({ opened, onEncoding, onSheet, onDone }: RosterProps): ReactElement {
  const { name, rows, cut } = opened;
  const handle = useRosterLayout(rows);
  const { layout, draft } = handle;
  const [sameId, setSameId] = useState<SameId>('first');
  const { students: read, problems } = useMemo(() => readRoster(rows, layout, sameId), [rows, layout, sameId]);
  const students = useMemo(() => read.slice(0, rosterLimits.students), [read]);
  const imported = useMemo(() => students.map(toImported), [students]);
  const named = layout.roles.some((role) => nameRoles.includes(role));
  return (
    <>
      <Panel
        title={name}
        aside={t(cut || read.length > students.length ? 'importPage.onlyTheFirstStudents' : 'importPage.students2', {
          count: students.length,
        })}
      >
        <ListChoices opened={opened} onEncoding={onEncoding} onSheet={onSheet}>
          {problems.some(({ reason }) => reason === 'same-id') && (
            <ChoiceField
              label={t('importPage.ifAnIdAppearsTwice')}
              choices={['first', 'last']}
              words={sameIdWords}
              value={sameId}
              onChange={(event) => setSameId(event.target.value as SameId)}
            />
          )}
        </ListChoices>
        <DraftOffer draft={draft} onUse={handle.useRoles} />
        <RosterTable rows={rows} handle={handle} />
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

/** Which sheet of a workbook is read, and in which encoding a text file. */
function ListChoices({
  opened,
  onEncoding,
  onSheet,
  children,
}: Omit<RosterProps, 'onDone'> & { readonly children: ReactNode }): ReactElement {
  return (
    <div className="mb-2 flex flex-wrap gap-4">
      {opened.sheets.length > 1 && (
        <ChoiceField
          label={t('rosterReview.sheet')}
          choices={opened.sheets}
          words={Object.fromEntries(opened.sheets.map((sheet) => [sheet, sheet]))}
          value={opened.sheet ?? ''}
          onChange={(event) => onSheet(event.target.value)}
        />
      )}
      {opened.encoding !== null && (
        <ChoiceField
          label={t('importPage.textEncoding')}
          choices={textEncodings}
          words={encodingWords}
          value={opened.encoding}
          hint={t('importPage.changeThisIfNamesLook')}
          onChange={(event) => onEncoding(event.target.value as TextEncoding)}
        />
      )}
      {children}
    </div>
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

function toImported({ schoolId, prefix, given, middle, family, className, year }: RosterStudent): ImportedStudent {
  return { schoolId, prefix, given, middle, family, className, year };
}
