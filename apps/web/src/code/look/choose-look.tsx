/** The looks that may be chosen, each on the very code that gets it, with what it would leave of it. */
import { plainLookChoice, type LookChoice, type LookView } from '@hapset/contract';
import { judgeLook, plainLook, type LookDesign } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { CodePicture } from '../symbol/code-picture.js';
import { lookReasonWords, plainLookWords } from '../../platform/wording/looks.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { looksQuery } from './look.queries.js';
import { drawSample, type LookSample } from './sample.js';
import { t } from '../words.js';

interface Props {
  readonly sample: LookSample;
  /** What is chosen now: a look's id, `plain`, or null where nothing is. */
  readonly now: LookChoice;
  readonly disabled: boolean;
  /** @param fails what is wrong with it on this code, '' where nothing stops */
  readonly onChoose: (choice: LookChoice, fails: string) => void;
}

export function ChooseLook({ sample, now, disabled, onChoose }: Props): ReactElement {
  const looks = useQuery(looksQuery);
  if (looks.isPending) return <Loading rows={2} label={t('chooseLook.looksAreLoading')} />;
  if (hasFailed(looks)) return <Failed words={wordsFor(looks.error)} onRetry={() => void looks.refetch()} />;
  return (
    <ul
      className="m-0 grid list-none grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3 p-0"
      aria-label={t('chooseLook.looks')}
    >
      <Choice
        sample={sample}
        name={plainLookWords}
        design={plainLook}
        isNow={now === plainLookChoice}
        disabled={disabled}
        onChoose={(fails) => onChoose(plainLookChoice, fails)}
      />
      {looks.data.looks
        .filter((look: LookView) => look.allowed || look.id === now)
        .map(({ id, name, design }) => (
          <Choice
            key={id}
            sample={sample}
            name={name}
            design={design}
            isNow={now === id}
            disabled={disabled}
            onChoose={(fails) => onChoose(id, fails)}
          />
        ))}
    </ul>
  );
}

interface ChoiceProps {
  readonly sample: LookSample;
  readonly name: string;
  readonly design: LookDesign;
  readonly isNow: boolean;
  readonly disabled: boolean;
  readonly onChoose: (fails: string) => void;
}

function Choice({ sample, name, design, isNow, disabled, onChoose }: ChoiceProps): ReactElement {
  const drawing = useMemo(() => drawSample(sample, design), [sample, design]);
  const judgement = useMemo(() => judgeLook(sample.plan, design), [sample, design]);
  const [worst] = judgement.reasons;
  return (
    <li>
      <button
        type="button"
        disabled={disabled}
        aria-pressed={isNow}
        onClick={() => onChoose(judgement.state === 'stop' && worst ? lookReasonWords[worst].short : '')}
        className={`flex h-full w-full flex-col items-stretch rounded-sheet border p-2.5 text-left ${isNow ? 'border-marker-line bg-marker-soft' : 'border-line bg-sheet hover:border-ink'}`}
      >
        <span className="flex h-36 items-center justify-center rounded-small border border-line bg-print p-1.5">
          <CodePicture drawing={drawing} label="" className="max-h-full max-w-full" />
        </span>
        <span className="mt-2 flex items-start gap-2">
          <StateMark
            mark={judgement.state}
            words={
              judgement.state === 'done'
                ? t('chooseLook.good')
                : judgement.state === 'stop'
                  ? t('chooseLook.fails')
                  : t('chooseLook.needsAttention')
            }
          />
          <span className="min-w-0 leading-snug">
            <span className="block text-body font-semibold break-words">{name}</span>
            <span className="block text-note text-muted">
              {[isNow ? t('chooseLook.selected') : '', worst ? lookReasonWords[worst].short : '']
                .filter((part) => part !== '')
                .join(' · ')}
            </span>
          </span>
        </span>
      </button>
    </li>
  );
}
