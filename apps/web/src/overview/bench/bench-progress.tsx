import type { BenchView } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import type { RehearsalProgress } from '../../reads/rehearsal/use-rehearsals.js';
import { troublesListed } from '../../platform/wording/troubles.js';
import { ago } from '../../platform/wording/figures.js';
import { useOpenLesson } from '../../lessons/lesson/lesson.queries.js';
import { t } from '../words.js';

interface Props {
  readonly bench: BenchView;
  readonly rehearsals: RehearsalProgress;
}

/** The line above the bench: how far the lesson is, and what is going on right now. */
export function BenchProgress({ bench, rehearsals }: Props): ReactElement {
  const { summary, opening } = bench;
  const rest = troublesListed(summary);
  return (
    <div className="mb-2.5 flex min-h-9 flex-wrap items-center gap-x-3 gap-y-1.5 text-body">
      <p className="m-0 flex-1">
        {summary.stations > 0 && (
          <strong>{t('benchProgress.ofStationsReady', { count: summary.stations, ready: summary.ready })}</strong>
        )}
        {rest.length > 0 && <span className="text-muted"> · {rest.join(' · ')}</span>}
      </p>
      <Rehearsing rehearsals={rehearsals} />
      {opening.of > 0 && <Opening bench={bench} />}
    </div>
  );
}

function Rehearsing({ rehearsals }: { readonly rehearsals: RehearsalProgress }): ReactElement | null {
  if (rehearsals.running) {
    return (
      <span className="flex items-center gap-2 text-muted">
        <span role="status">
          {t('benchProgress.rehearsingOf', { now: Math.min(rehearsals.done + 1, rehearsals.of), of: rehearsals.of })}
        </span>
        <Button onClick={rehearsals.stop}>{t('benchProgress.stop')}</Button>
      </span>
    );
  }
  if (!rehearsals.stopped && !rehearsals.failed) return null;
  return (
    <span className="flex items-center gap-2 text-muted">
      <span role="status">
        {rehearsals.failed ? t('benchProgress.theRehearsalFailed') : t('benchProgress.rehearsalStopped')}
      </span>
      <Button onClick={rehearsals.again}>{t('benchProgress.continue')}</Button>
    </span>
  );
}

function Opening({ bench: { lesson, opening, openedAt } }: { readonly bench: BenchView }): ReactElement {
  const open = useOpenLesson(lesson.id);
  const running = opening.left > 0;
  return (
    <span className="flex items-center gap-2.5 text-muted">
      <span role="status">
        {running
          ? t('benchProgress.checkingOf', { now: opening.of - opening.left + 1, of: opening.of })
          : openedAt
            ? t('benchProgress.checked', { ago: ago(openedAt) })
            : ''}
      </span>
      <Button disabled={open.isPending} onClick={() => open.mutate(running ? 'stop' : 'open')}>
        {running ? t('benchProgress.stop') : t('benchProgress.checkAllAgain')}
      </Button>
    </span>
  );
}
