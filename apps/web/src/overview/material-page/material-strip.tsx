/** The answer first: the code, the four answers in words, and the next step. */
import type { MaterialPage } from '@hapset/contract';
import { findTrouble, isReady, partOfTrouble, type PagePart } from '@hapset/core';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { pagePath } from '../../gather/material/page-path.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { MakePoster } from '../../paper/sheet/make-poster.js';
import { buttonClass } from '../../platform/design/button.js';
import { fixWords } from '../../platform/wording/troubles.js';
import { AnswerCell } from '../readiness/answer-cell.js';
import { carriesWords, opensWords, paperWords, readsWords, type AnswerWords } from '../readiness/answers.js';
import { t } from '../words.js';

interface Props {
  readonly page: MaterialPage;
  readonly place: PlaceId;
  readonly name: string;
  readonly rehearsing: boolean;
}

export function MaterialStrip({ page, place, name, rehearsing }: Props): ReactElement {
  const { readiness, material, code } = page;
  const answers: readonly (readonly [PagePart, string, AnswerWords])[] = [
    ['opens', t('materialStrip.opens'), opensWords(readiness.opens)],
    ['carries', t('materialStrip.code'), carriesWords(readiness.carries, material.kind)],
    ['reads', t('materialStrip.reads'), readsWords(readiness.reads, rehearsing && code !== null)],
    ['paper', t('materialStrip.onPaper'), paperWords(readiness.paper)],
  ];
  return (
    <section
      aria-label={t('materialStrip.steps')}
      className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 rounded-sheet border border-line bg-sheet px-4 py-2.5 sm:px-5"
    >
      {code && <CodePicture drawing={code.drawing} label="" className="size-[52px] shrink-0 md:hidden" />}
      <ul className="m-0 grid min-w-0 flex-1 basis-64 list-none grid-cols-2 gap-x-4 gap-y-1 p-0 lg:grid-cols-4">
        {answers.map(([part, question, answer]) => (
          <li key={part} className="min-w-0">
            <Link to={{ hash: part }} className="flex min-h-11 items-center text-ink no-underline">
              <AnswerCell question={question} answer={answer} />
            </Link>
          </li>
        ))}
      </ul>
      <NextStep page={page} place={place} name={name} />
    </section>
  );
}

/** What stops students, then paper, then a try in the room. Nothing while it is being checked. */
function NextStep({ page, place, name }: Omit<Props, 'rehearsing'>): ReactElement | null {
  const { readiness, code } = page;
  const trouble = findTrouble(readiness);
  if (trouble === 'without-sheet' || trouble === 'outdated')
    return code && <MakePoster place={place} name={name} paper={page.paper} />;
  if (trouble)
    return (
      <Link to={{ hash: partOfTrouble(trouble) }} className={buttonClass('main')}>
        {fixWords[trouble]}
      </Link>
    );
  if (!isReady(readiness)) return null;
  return (
    <Link to={`${pagePath(page)}/try`} className={buttonClass('main')}>
      {t('materialStrip.tryItInTheRoom')}
    </Link>
  );
}
