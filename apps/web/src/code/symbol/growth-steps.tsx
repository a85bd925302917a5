import type { GrowthSteps as Steps } from '@hapset/core';
import type { ReactElement } from 'react';
import { t } from '../words.js';

/**
 * The steps around a text, as stairs that go down as the code gets finer: within a step nothing changes, however much is
 * typed. The step on which the text stands is marked, with how full it is.
 */
export function GrowthSteps({ steps: { characters, steps, now } }: { readonly steps: Steps }): ReactElement {
  const first = steps[0]?.modules ?? 21;
  return (
    <div>
      <ol aria-label={t('growthSteps.stepsOfTheCode')} className="m-0 flex h-[92px] list-none items-end gap-1 p-0">
        {steps.map(({ version, modules, upTo }, index) => {
          const from = (steps[index - 1]?.upTo ?? 0) + 1;
          const here = index === now;
          return (
            <li
              key={version}
              aria-current={here ? 'step' : undefined}
              aria-label={
                here
                  ? t('growthSteps.byUpToCharactersNow', { count: upTo, modules })
                  : t('growthSteps.byUpToCharacters', { count: upTo, modules })
              }
              className={`relative flex min-w-0 flex-1 flex-col justify-between overflow-hidden rounded-step border px-1.5 py-1 text-fine leading-tight ${here ? 'border-marker-line bg-marker-soft' : 'border-line bg-paper text-muted'}`}
              style={{ height: `${Math.round((100 * first) / modules)}%` }}
            >
              {here && (
                <span
                  aria-hidden
                  className="absolute inset-y-0 left-0 bg-marker-fill"
                  style={{ width: `${Math.round((100 * (characters - from + 1)) / (upTo - from + 1))}%` }}
                />
              )}
              <span className="relative font-semibold whitespace-nowrap">
                {modules} × {modules}
              </span>
              <span className="relative whitespace-nowrap">{t('growthSteps.to', { upTo })}</span>
            </li>
          );
        })}
      </ol>
      <p className="mt-1.5 mb-0 text-small" role="status">
        {growthSentence({ characters, steps, now })}
      </p>
    </div>
  );
}

/** What the next character does, and what fewer would do. */
export function growthSentence({ characters, steps, now }: Steps): string {
  const left = (steps[now]?.upTo ?? characters) - characters;
  const before = steps[now - 1];
  const fewer = before ? characters - before.upTo : 0;
  if (left === 0)
    return before ? t('growthSteps.oneMoreCharacterMakesThe2', { fewer }) : t('growthSteps.oneMoreCharacterMakesThe');
  return before
    ? t('growthSteps.moreCharactersFitFewerMake', { count: left, fewer })
    : t('growthSteps.moreCharactersFitBeforeThe', { count: left });
}
