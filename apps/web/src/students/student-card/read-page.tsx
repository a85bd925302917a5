/** Students' cards are read: who it is, for signed-in staff, and a list of readings to take away. */
import { routes, type ReadCardView } from '@hapset/contract';
import type { FoundCode } from '@hapset/readers';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useRef, useState, type FormEvent, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Alert } from '../../platform/design/alert.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { CameraReader } from '../../reads/reader/camera-reader.js';
import { PageHead } from '../../platform/design/page-head.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { cardResultWords } from '../../platform/wording/students.js';
import { cardReadingsQuery, useReadCard, useRemoveReading } from './cards.queries.js';
import { LineInput } from '../../platform/design/inputs.js';

/** The camera sees a card many times in a second: within this it is asked for once. */
const sameCardMs = 4000;

export function ReadCardsPage(): ReactElement {
  const [camera, setCamera] = useState(false);
  const { read, last, ask, see } = useReading();
  return (
    <>
      <PageHead
        title="Read cards"
        trail={<Link to="/school/students">Students</Link>}
        about="Hold a student’s card in front of the camera. Only you see who it is; each reading is kept in your list."
      />
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <section className="rounded-sheet border border-line bg-sheet px-4 py-4 sm:px-5">
          {camera && (
            <div className="mb-3">
              <CameraReader onCodes={see} />
            </div>
          )}
          <div className="flex flex-wrap items-center gap-2.5">
            <Button tone={camera ? 'plain' : 'main'} onClick={() => setCamera(!camera)}>
              {camera ? 'Stop the camera' : 'Use the camera'}
            </Button>
            <TypedCard onRead={ask} />
          </div>
          {read.isError && <Alert words={wordsFor(read.error)} className="mt-2 mb-0" />}
          <div role="status" aria-live="polite">
            {last && <LastCard card={last} />}
          </div>
        </section>
        <Readings />
      </div>
    </>
  );
}

/** What the camera sees or somebody types, asked for, and who it was last. */
function useReading(): {
  readonly read: ReturnType<typeof useReadCard>;
  readonly last: ReadCardView | null;
  readonly ask: (text: string) => void;
  readonly see: (codes: readonly FoundCode[]) => void;
} {
  const [last, setLast] = useState<ReadCardView | null>(null);
  const read = useReadCard();
  const asked = useRef(new Map<string, number>());
  const { mutate } = read;
  const ask = useCallback((text: string): void => mutate(text, { onSuccess: setLast }), [mutate]);
  const see = useCallback(
    (codes: readonly FoundCode[]): void => {
      const now = Date.now();
      for (const { text } of codes) {
        if (now - (asked.current.get(text) ?? 0) < sameCardMs) continue;
        asked.current.set(text, now);
        ask(text);
      }
    },
    [ask],
  );
  return { read, last, ask, see };
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
    <form onSubmit={send} className="flex flex-1 gap-2">
      <LineInput
        aria-label="What the card says"
        placeholder="or type what the card says"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="w-full min-w-36 font-mono text-body"
      />
      <Button type="submit">Read</Button>
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
          <p className="m-0 text-answer leading-tight font-semibold wrap-anywhere" aria-label="Who it is">
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
  if (readings.isPending) return <Loading rows={3} label="Your readings are loading" />;
  if (readings.isError) return <Failed words={wordsFor(readings.error)} onRetry={() => void readings.refetch()} />;
  const { rows, total } = readings.data;
  if (rows.length === 0)
    return <Empty title="Nothing read yet">Each card that you read stands here with its time.</Empty>;
  return (
    <section className="rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 className="m-0 text-panel">{plural(total, 'reading')}</h2>
        <a href={routes.cardReadingsCsv.path} download className={buttonClass('plain', 'ml-auto')}>
          Save as CSV
        </a>
      </div>
      <ul className="m-0 list-none p-0" aria-label="Cards that were read">
        {rows.map(({ id, readAt, name, className }) => (
          <li key={id} className="flex items-center gap-3 border-b border-line py-1.5 text-body last:border-b-0">
            <span className="min-w-0 flex-1 truncate font-semibold">{name}</span>
            <span className="text-muted">{className}</span>
            <time dateTime={readAt} className="text-muted">
              {new Date(readAt).toLocaleTimeString('en-GB')}
            </time>
            <Button
              tone="quiet"
              aria-label={`Remove the reading of ${name}`}
              disabled={remove.isPending}
              onClick={() => remove.mutate(id)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
