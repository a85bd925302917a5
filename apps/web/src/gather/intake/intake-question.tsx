/** What can be read in two ways: both are shown as students would get them, and the teacher chooses. */
import type { IntakeAnswer, IntakeQuestion } from '@hapset/core';
import type { Dispatch, ReactElement } from 'react';
import { answerWords, addressDoubtWords } from '../../platform/wording/intake.js';
import { KindIcon } from '../material/kind-icon.js';
import type { IntakeAction } from './intake-state.js';
import { t } from '../words.js';

interface Props {
  readonly item: IntakeQuestion;
  readonly dispatch: Dispatch<IntakeAction>;
}

/** The place where the first answer is, for the key that leads there. */
export const firstAnswer = '[data-answer="0"]';

export function Question({ item, dispatch }: Props): ReactElement {
  return (
    <div role="group" aria-label={t('intakeQuestion.whichOneShouldStudentsGet', { pasted: item.pasted })}>
      <p className="m-0 text-body font-semibold">{t('intakeQuestion.whichOneShouldStudentsGet2')}</p>
      {item.doubt !== null && <p className="m-0 mt-0.5 text-small text-muted">{addressDoubtWords[item.doubt]}</p>}
      <div className="mt-2 grid gap-2">
        {([0, 1] as const).map((answer) => (
          <AnswerButton
            key={answer}
            answer={answer}
            answers={item.readings[answer]}
            onChoose={() => dispatch({ kind: 'answered', pasted: item.pasted, answer })}
          />
        ))}
      </div>
    </div>
  );
}

function AnswerButton({
  answer,
  answers,
  onChoose,
}: {
  readonly answer: 0 | 1;
  readonly answers: readonly IntakeAnswer[];
  readonly onChoose: () => void;
}): ReactElement {
  const { verb, what } = answerWords(answers);
  const [first] = answers;
  const title = answers.length === 1 ? (first?.title ?? null) : null;
  return (
    <button
      type="button"
      data-answer={answer}
      onClick={onChoose}
      className="flex min-h-10 w-full items-start gap-2.5 rounded-small border border-line-strong bg-sheet px-3 py-2 text-left hover:border-ink"
    >
      <span className="mt-0.5">
        <KindIcon kind={iconOf(first)} />
      </span>
      <span className="min-w-0">
        <span className="block text-small font-semibold">
          {verb}
          {title !== null && <span className="font-normal text-muted">{t('intakeQuestion.named', { title })}</span>}
        </span>
        <span
          className={`block break-words ${first?.kind === 'words' ? 'text-body' : 'font-mono text-small break-all'}`}
        >
          {what}
        </span>
      </span>
    </button>
  );
}

function iconOf(answer: IntakeAnswer | undefined): Parameters<typeof KindIcon>[0]['kind'] {
  if (answer?.kind === 'contact') return answer.content.kind;
  return answer?.kind === 'words' ? 'message' : 'web-page';
}
