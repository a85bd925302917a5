import type { ShelfRow as Row } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { AnswerCell } from '../readiness/answer-cell.js';
import { carriesWords, opensWords } from '../readiness/answers.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { KindIcon } from '../../gather/material/kind-icon.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Props {
  readonly row: Row;
  readonly ticked: boolean;
  readonly onTick: (ticked: boolean) => void;
}

export function ShelfRow({ row: { material, code, readiness, lessons }, ticked, onTick }: Props): ReactElement {
  const where =
    lessons.length === 0 ? t('shelfRow.notInALesson') : `in ${lessons.map((lesson) => lesson.name).join(', ')}`;
  return (
    <li className={`flex items-stretch border-b border-line last:border-b-0 ${ticked ? 'bg-marker-soft' : ''}`}>
      <label className="flex w-12 shrink-0 cursor-pointer items-center justify-center">
        <CheckBox
          aria-label={t('shelfRow.select', { title: material.title })}
          checked={ticked}
          onChange={(event) => onTick(event.target.checked)}
        />
      </label>
      <Link
        to={`/shelf/${material.id}`}
        className="grid flex-1 min-w-0 grid-cols-2 items-center gap-x-4 gap-y-2 py-2.5 pr-4 text-ink no-underline hover:bg-marker-soft sm:grid-cols-[minmax(0,1fr)_190px_170px]"
      >
        <span className="col-span-2 flex min-w-0 items-center gap-3.5 sm:col-span-1">
          {code ? (
            <CodePicture drawing={code.drawing} label="" className="size-[46px] shrink-0" />
          ) : (
            <span className="size-[46px] shrink-0 rounded-fine border border-dashed border-line-strong" />
          )}
          <span className="min-w-0 leading-snug">
            <span className="block truncate text-lead font-semibold">{material.title}</span>
            <span className="flex items-center gap-1.5 truncate text-small text-muted">
              <KindIcon kind={material.kind} />{' '}
              {[kindWords[material.kind], material.at?.service ?? null, where]
                .filter((part) => part !== null)
                .join(' · ')}
            </span>
          </span>
        </span>
        <AnswerCell question={t('shelfRow.opens')} answer={opensWords(readiness.opens)} />
        <AnswerCell question={t('shelfRow.code')} answer={carriesWords(readiness.carries, material.kind)} />
      </Link>
    </li>
  );
}
