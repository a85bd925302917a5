/** For how long each kind of record is kept, and what the last deletion deleted. */
import {
  recordKinds,
  retentionRanges,
  routes,
  type RecordKind,
  type RetentionDays,
  type RetentionView,
} from '@hapset/contract';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { call } from '../../platform/api/client.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { Panel } from '../../platform/design/panel.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../staff/words.js';
import { recordAbout, recordTitles } from './record-kinds.js';

const retentionQuery = queryOptions({
  queryKey: ['school', 'retention'],
  queryFn: ({ signal }): Promise<RetentionView> => call(routes.retention, { signal }),
});

export function RetentionPage(): ReactElement {
  const retention = useQuery(retentionQuery);
  return (
    <>
      <PageHead
        title={t('retentionPage.title')}
        about={t('retentionPage.about')}
        trail={<Link to="/school">{t('staffPage.school')}</Link>}
      />
      {retention.isPending && <Loading label={t('retentionPage.loading')} />}
      {hasFailed(retention) && <Failed words={wordsFor(retention.error)} onRetry={() => void retention.refetch()} />}
      {retention.data && (
        <div className="flex flex-col gap-4">
          <RetentionForm retention={retention.data} />
          <LastDeletion last={retention.data.last} />
        </div>
      )}
    </>
  );
}

function RetentionForm({ retention: { days, version } }: { readonly retention: RetentionView }): ReactElement {
  const form = useForm<Record<RecordKind, number>>({ defaultValues: days });
  const client = useQueryClient();
  const notice = useNotice();
  const change = useMutation({
    mutationFn: (chosen: RetentionDays) => call(routes.changeRetention, { body: { days: chosen, version } }),
    onSuccess: (changed) => {
      client.setQueryData(retentionQuery.queryKey, changed);
      notice({ words: t('retentionPage.saved') });
    },
    onError: (error) =>
      error instanceof ApiError && error.reason === 'stale'
        ? client.invalidateQueries({ queryKey: retentionQuery.queryKey })
        : undefined,
  });
  return (
    <Panel>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((chosen) => change.mutate(chosen))(event)}
      >
        <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
          {recordKinds.map((kind) => {
            const { least, usual, most } = retentionRanges[kind];
            const problem = t('retentionPage.outOfRange', { least, most });
            const inRange = (chosen: number): true | string =>
              (Number.isInteger(chosen) && chosen >= least && chosen <= most) || problem;
            return (
              <TextField
                key={kind}
                label={t('retentionPage.inDays', { kind: recordTitles[kind] })}
                hint={`${recordAbout[kind]} ${t('retentionPage.usual', { days: usual })}`}
                type="number"
                min={least}
                max={most}
                {...form.register(kind, { valueAsNumber: true, validate: inRange })}
                problem={form.formState.errors[kind]?.message}
              />
            );
          })}
        </div>
        {change.isError && <Alert words={wordsFor(change.error)} />}
        <div>
          <Button type="submit" tone="main" disabled={change.isPending}>
            {t('retentionPage.save')}
          </Button>
        </div>
      </form>
    </Panel>
  );
}

function LastDeletion({ last }: Pick<RetentionView, 'last'>): ReactElement {
  const deleted = last ? recordKinds.filter((kind) => last.deleted[kind] > 0) : [];
  return (
    <Panel title={t('retentionPage.lastDeletion')}>
      <p className="m-0 text-body">
        {last === null && t('retentionPage.noneYet')}
        {last !== null && deleted.length === 0 && t('retentionPage.nothingWasOld', { time: dayAndTime(last.at) })}
        {last !== null && deleted.length > 0 && t('retentionPage.deletedAt', { time: dayAndTime(last.at) })}
      </p>
      {last !== null && deleted.length > 0 && (
        <ul className="mt-2 mb-0 pl-5 text-body">
          {deleted.map((kind) => (
            <li key={kind}>
              {t('retentionPage.deletedOf', { kind: recordTitles[kind], deleted: last.deleted[kind] })}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
