/** The end of a school year: what each class is called then, and who leaves. */
import { nextYearName, proposeYearEnd, type YearEndMove } from '@hapset/core';
import type { StudentGroup } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { LineInput } from '../../platform/design/inputs.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { Panel } from '../../platform/design/panel.js';
import { Tick } from '../../platform/design/tick.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useSession } from '../../school/account/session.queries.js';
import { t } from '../words.js';
import { groupsQuery, useEndYear } from './roster.queries.js';

const longestClass = 60;

export function NextYearPage(): ReactElement {
  const mayRule = useSession()?.role !== 'teacher';
  const groups = useQuery(groupsQuery);
  return (
    <>
      <PageHead
        title={t('nextYear.nextSchoolYear')}
        trail={<Link to="/school/students">{t('nextYear.students')}</Link>}
        about={t('nextYear.about')}
      />
      {!mayRule && <Empty title={t('nextYear.officeOnly')}>{t('nextYear.askTheOffice')}</Empty>}
      {mayRule && groups.isPending && <Loading rows={5} label={t('nextYear.classesAreLoading')} />}
      {mayRule && hasFailed(groups) && <Failed words={wordsFor(groups.error)} onRetry={() => void groups.refetch()} />}
      {mayRule && groups.data && <Classes key={groups.data.classes.length} classes={withName(groups.data.classes)} />}
    </>
  );
}

const withName = (classes: readonly StudentGroup[]): readonly StudentGroup[] =>
  classes.filter(({ name }) => name !== '');

function Classes({ classes }: { readonly classes: readonly StudentGroup[] }): ReactElement {
  const [moves, setMoves] = useState<readonly YearEndMove[]>(() => proposeYearEnd(classes.map(({ name }) => name)));
  const endYear = useEndYear();
  const navigate = useNavigate();
  const notice = useNotice();
  const sendChange = useSendChange();
  if (classes.length === 0) return <Empty title={t('nextYear.noClasses')}>{t('nextYear.noClassesYet')}</Empty>;
  const sizeOf = (name: string): number => classes.find((one) => one.name === name)?.students ?? 0;
  const students = (which: (move: YearEndMove) => boolean): number =>
    moves.filter(which).reduce((sum, { className }) => sum + sizeOf(className), 0);
  const moving = students(({ className, to }) => to !== null && to.trim() !== className);
  const leaving = students(({ to }) => to === null);
  const isUnnamed = moves.some(({ to }) => to !== null && to.trim() === '');
  const set = (className: string, to: string | null): void =>
    setMoves(moves.map((move) => (move.className === className ? { className, to } : move)));
  const send = (): void =>
    sendChange(
      endYear,
      { moves: moves.map(({ className, to }) => ({ className, to: to === null ? null : to.trim() })) },
      {
        onSuccess: ({ changed, left }) => {
          notice({ words: t('nextYear.done', { changed, left }), page: '/school/students/import' });
          void navigate('/school/students/import');
        },
        onError: null,
      },
    );
  return (
    <Panel title={t('nextYear.classes')}>
      <ul className="m-0 list-none p-0" aria-label={t('nextYear.classes')}>
        {moves.map((move) => (
          <ClassRow key={move.className} move={move} students={sizeOf(move.className)} onChange={set} />
        ))}
      </ul>
      <Merged moves={moves} />
      {endYear.isError && <Alert words={wordsFor(endYear.error)} className="mt-3 mb-0" />}
      <p className="mt-3 mb-0 text-body font-semibold" role="status">
        {t('nextYear.summary', { moving, leaving })}
      </p>
      <p className="mt-0.5 mb-3 text-row text-muted">{t('nextYear.canBeUndone')}</p>
      <Button tone="main" disabled={endYear.isPending || isUnnamed || moving + leaving === 0} onClick={send}>
        {endYear.isPending ? t('nextYear.moving') : t('nextYear.moveClasses')}
      </Button>
    </Panel>
  );
}

function ClassRow({
  move: { className, to },
  students,
  onChange,
}: {
  readonly move: YearEndMove;
  readonly students: number;
  readonly onChange: (className: string, to: string | null) => void;
}): ReactElement {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2 last:border-b-0">
      <span className="min-w-0 flex-1 basis-40">
        <span className="font-semibold wrap-anywhere">{className}</span>{' '}
        <span className="text-row text-muted">{t('nextYear.studentsIn', { count: students })}</span>
      </span>
      <LineInput
        aria-label={t('nextYear.newNameOf', { className })}
        value={to ?? ''}
        maxLength={longestClass}
        disabled={to === null}
        placeholder={to === null ? t('nextYear.leavesTheSchool') : ''}
        onChange={(event) => onChange(className, event.target.value)}
        className="w-44 text-body"
      />
      <Tick
        words={t('nextYear.leavesTheSchool')}
        ticked={to === null}
        onTick={(leaves) => onChange(className, leaves ? null : nextYearName(className))}
      />
    </li>
  );
}

/** Classes that become one are named: it may be a slip. */
function Merged({ moves }: { readonly moves: readonly YearEndMove[] }): ReactElement | null {
  const names = moves.flatMap(({ to }) => (to === null ? [] : [to.trim()]));
  const twice = [...new Set(names.filter((name, index) => name !== '' && names.indexOf(name) !== index))];
  if (twice.length === 0) return null;
  return <Alert words={t('nextYear.becomeOne', { names: twice.join(', ') })} className="mt-3 mb-0" />;
}
