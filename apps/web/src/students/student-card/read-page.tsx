/** Students' cards are read: who it is, for signed-in staff, and a list of readings to take away. */
import { routes, type ReadCardView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, useSyncExternalStore, type FormEvent, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Alert } from '../../platform/design/alert.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { CameraReader } from '../../reads/reader/camera-reader.js';
import { PageHead } from '../../platform/design/page-head.js';
import { timeToTheSecond } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { cardResultWords } from '../../platform/wording/students.js';
import { serverState } from '../../platform/api/server-state.js';
import { useSession } from '../../school/account/session.queries.js';
import { cardReadingsQuery, useRemoveReading } from './cards.queries.js';
import type { UnsentCard } from './unsent-cards.js';
import { useHandScanner } from './use-hand-scanner.js';
import { useReading } from './use-reading.js';
import { LineInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function ReadCardsPage(): ReactElement {
  const session = useSession();
  return (
    <>
      <PageHead
        title={t('readPage.readCards')}
        trail={<Link to="/school/students">{t('readPage.students')}</Link>}
        about={t('readPage.holdAStudentsCardIn')}
      />
      {session && <Desk key={session.accountId} accountId={session.accountId} />}
    </>
  );
}

function Desk({ accountId }: { readonly accountId: string }): ReactElement {
  const [camera, setCamera] = useState(false);
  const [scans, setScans] = useState(0);
  const { error, last, waiting, ask, see } = useReading(accountId);
  useHandScanner((text) => {
    // Its letters may be in the field as well.
    setScans(scans + 1);
    ask(text);
  });
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <section className="rounded-sheet border border-line bg-sheet px-4 py-4 sm:px-5">
        {camera && (
          <div className="mb-3">
            <CameraReader onCodes={see} />
          </div>
        )}
        <div className="flex flex-wrap items-center gap-2.5">
          <Button tone={camera ? 'plain' : 'main'} onClick={() => setCamera(!camera)}>
            {camera ? t('readPage.stopTheCamera') : t('readPage.useTheCamera')}
          </Button>
          <TypedCard key={scans} onRead={(text) => ask(text, true)} />
        </div>
        <p className="mt-2 mb-0 text-small text-muted">{t('readPage.handScanner')}</p>
        {error && <Alert words={wordsFor(error)} className="mt-2 mb-0" />}
        <div role="status" aria-live="polite">
          <Waiting cards={waiting} />
          {last && <LastCard card={last} />}
        </div>
      </section>
      <Readings />
    </div>
  );
}

/** A card that is being asked for at this moment is no reason to say so. */
function Waiting({ cards }: { readonly cards: readonly UnsentCard[] }): ReactElement | null {
  const isAway = useSyncExternalStore(serverState.subscribe, serverState.isAway);
  if (cards.length === 0 || !isAway) return null;
  return (
    <div className="mt-3">
      <p className="m-0 text-body font-semibold">{t('readPage.cardsAreNotSentYet', { count: cards.length })}</p>
      <ul className="m-0 mt-1 max-h-40 list-none overflow-y-auto p-0 text-row" aria-label={t('readPage.notSentYet')}>
        {cards.map(({ text, readAtMs }) => (
          <li key={`${readAtMs} ${text}`} className="flex justify-between gap-3">
            <span className="truncate font-mono">{text}</span>
            <span className="text-muted">{timeToTheSecond(new Date(readAtMs).toISOString())}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function TypedCard({ onRead }: { readonly onRead: (text: string) => void }): ReactElement {
  const [typed, setTyped] = useState('');
  const send = (event: FormEvent): void => {
    event.preventDefault();
    if (typed.trim() === '') return;
    onRead(typed.trim());
    setTyped('');
  };
  return (
    <form onSubmit={send} className="flex min-w-0 flex-1 basis-64 gap-2">
      <LineInput
        aria-label={t('readPage.lettersOnTheCard')}
        placeholder={t('readPage.orTypeTheLettersOn')}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="w-full min-w-0 font-mono text-body"
      />
      <Button type="submit">{t('readPage.read')}</Button>
    </form>
  );
}

function LastCard({ card: { result, student } }: { readonly card: ReadCardView }): ReactElement {
  return (
    <div className="mt-4 flex items-start gap-3">
      <StateMark
        mark={result === 'student' ? 'done' : result === 'unknown' ? 'stop' : 'look-at'}
        words={cardResultWords[result]}
      />
      <div className="min-w-0">
        {student && (
          <p className="m-0 text-answer leading-tight font-semibold wrap-anywhere" aria-label={t('readPage.whoItIs')}>
            {student.name}
          </p>
        )}
        {student && (
          <p className="m-0 text-field text-muted">
            {[student.className, student.schoolId ?? ''].filter((part) => part !== '').join(' · ')}
          </p>
        )}
        {result !== 'student' && <p className="m-0 text-field">{cardResultWords[result]}</p>}
      </div>
    </div>
  );
}

function Readings(): ReactElement {
  const readings = useQuery(cardReadingsQuery);
  const remove = useRemoveReading();
  if (readings.isPending) return <Loading rows={3} label={t('readPage.yourReadingsAreLoading')} />;
  if (hasFailed(readings)) return <Failed words={wordsFor(readings.error)} onRetry={() => void readings.refetch()} />;
  const { rows, total, byId } = readings.data;
  if (rows.length === 0) return <Empty title={t('readPage.nothingReadYet')}>{t('readPage.eachCardYouReadIs')}</Empty>;
  return (
    <section className="rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 className="m-0 text-panel">{t('readPage.cards', { count: total - byId })}</h2>
        {byId > 0 && <span className="text-row text-muted">{t('readPage.byIdCount', { count: byId })}</span>}
        <a href={routes.cardReadingsCsv.path} download className={buttonClass('plain', 'ml-auto')}>
          {t('readPage.saveAsCSV')}
        </a>
      </div>
      <ul className="m-0 list-none p-0" aria-label={t('readPage.cardsThatWereRead')}>
        {rows.map(({ id, readAt, name, className, byId: withoutCard }) => (
          <li
            key={id}
            className="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5 text-body last:border-b-0"
          >
            <span className="min-w-0 flex-1 basis-40 truncate font-semibold">{name}</span>
            {withoutCard && <span className="text-muted">{t('readPage.byId')}</span>}
            <span className="text-muted">{className}</span>
            <time dateTime={readAt} className="text-muted">
              {timeToTheSecond(readAt)}
            </time>
            <Button
              tone="quiet"
              aria-label={t('readPage.removeTheReadingOf', { name })}
              disabled={remove.isPending}
              onClick={() => remove.mutate(id)}
            >
              {t('readPage.remove')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
