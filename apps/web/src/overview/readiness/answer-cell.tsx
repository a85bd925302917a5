import type { ReactElement } from 'react';
import { StateMark } from '../../platform/design/state-mark.js';
import type { AnswerWords } from './answers.js';
import { t } from '../words.js';

/** A state and the figure behind it. */
export function AnswerCell({
  answer,
  question,
}: {
  readonly answer: AnswerWords;
  readonly question: string;
}): ReactElement {
  return (
    <span className="flex min-w-0 items-center gap-2.5">
      <StateMark mark={answer.mark} words={`${question}: ${markWords[answer.mark]}`} />
      <span className="min-w-0 leading-snug">
        <span className="block truncate text-body font-semibold">{answer.title}</span>
        {answer.figure !== '' && (
          <span
            className={`block truncate text-note ${answer.isFix ? 'font-semibold text-stop underline' : 'text-muted'}`}
          >
            {answer.figure}
          </span>
        )}
      </span>
    </span>
  );
}

const markWords = {
  done: t('answerCell.done'),
  'look-at': t('answerCell.needsAttention'),
  stop: t('answerCell.stops'),
  'not-yet': t('answerCell.notYet'),
} as const;
