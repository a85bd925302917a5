import type { LessonRow as Row } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { troubleWords } from '../../platform/wording/troubles.js';
import { lessonTime } from '../../platform/wording/figures.js';
import { t } from '../words.js';

export function LessonRow({ row }: { readonly row: Row }): ReactElement {
  const { mark, words } = readyWords(row);
  return (
    <li className="border-b border-line last:border-b-0">
      <Link
        to={`/lessons/${row.id}`}
        className="flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-3.5 text-ink no-underline hover:bg-marker-soft sm:px-5"
      >
        <span className="min-w-52 flex-1">
          <span className="block text-group font-semibold">{row.name}</span>
          <span className="block text-small text-muted">
            {[
              lessonTime(row.date, row.startsAt),
              row.className ? t('lessonRow.class', { className: row.className }) : '',
              row.place,
            ]
              .filter((part) => part !== '')
              .join(' · ')}
          </span>
        </span>
        <span className="flex items-center gap-2.5 text-row sm:w-64">
          <StateMark mark={mark} words={words} />
          {words}
        </span>
      </Link>
    </li>
  );
}

function readyWords({ summary }: Row): { readonly mark: Mark; readonly words: string } {
  if (summary.stations === 0) return { mark: 'not-yet', words: t('lessonRow.noStationsYet') };
  const words = t('lessonRow.ofStationsReady', { count: summary.stations, ready: summary.ready });
  const { troubles } = summary;
  const stopping = troubles.locked + troubles['not-opening'];
  if (stopping > 0) {
    const name = troubles.locked > 0 ? 'locked' : 'not-opening';
    return { mark: 'stop', words: `${words}, ${troubles[name]} ${troubleWords[name]}` };
  }
  if (summary.ready === summary.stations) return { mark: 'done', words };
  const toLookAt = troubles['to-check'] + troubles.code + troubles['not-read'] + troubles.outdated;
  return { mark: toLookAt > 0 ? 'look-at' : 'not-yet', words };
}
