import type { MaterialPage } from '@hapset/contract';
import { repairedPercent, type ErrorCorrectionLevel, type SymbolFigures } from '@hapset/core';
import type { ReactElement } from 'react';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { metres } from '../../platform/wording/figures.js';
import { RadioButton } from '../../platform/design/inputs.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** The error correction level by hand, each with what it costs. Left alone, it is the highest that costs nothing. */
export function ChooseLevel({ page: { material, levels, code } }: { readonly page: MaterialPage }): ReactElement {
  const change = useChangeMaterial(material.id);
  const sendChange = useSendChange();
  // What was pointed at is marked at once, not when the server has answered.
  const chosen = change.isPending ? (change.variables.level ?? null) : material.level;
  const choose = (level: ErrorCorrectionLevel | null): void => sendChange(change, { version: material.version, level });
  // Where it was left alone, the figures at hand are those of M raised for nothing.
  const free = levels.find(({ level }) => level === 'M')?.figures ?? null;
  return (
    <details className="mt-1.5 text-row" open={chosen !== null}>
      <summary className="w-fit cursor-pointer py-1 text-small text-muted">
        {chosen === null ? t('chooseLevel.errorCorrection') : t('chooseLevel.errorCorrectionLevelSetBy', { chosen })}
      </summary>
      <fieldset className="m-0 mt-1 border-0 p-0" disabled={change.isPending}>
        <legend className="sr-only">{t('chooseLevel.errorCorrectionLevel')}</legend>
        <Choice
          name={material.id}
          checked={chosen === null}
          onChoose={() => choose(null)}
          title={t('chooseLevel.automatic')}
          figure={
            chosen === null && code
              ? t('chooseLevel.levelNowRepairs', {
                  level: code.level,
                  repairedPercent: repairedPercent[code.level],
                })
              : t('chooseLevel.theHighestLevelThatDoes')
          }
        />
        {levels.map(({ level, figures }) => (
          <Choice
            key={level}
            name={material.id}
            checked={chosen === level}
            disabled={figures === null}
            onChoose={() => choose(level)}
            title={t('chooseLevel.level', { level, repairedPercent: repairedPercent[level] })}
            figure={figures === null ? t('chooseLevel.tooLongForACode') : costWords(figures, free)}
          />
        ))}
      </fieldset>
    </details>
  );
}

function costWords({ modules, reachM }: SymbolFigures, free: SymbolFigures | null): string {
  const size =
    reachM === null
      ? t('chooseLevel.text', { modules })
      : t('chooseLevel.readsFromAbout', { modules, metres: metres(reachM) });
  if (free === null || modules === free.modules) return size;
  return modules > free.modules ? t('chooseLevel.finer', { size }) : t('chooseLevel.coarserButAScratchMay', { size });
}

function Choice({
  name,
  checked,
  disabled = false,
  onChoose,
  title,
  figure,
}: {
  readonly name: string;
  readonly checked: boolean;
  readonly disabled?: boolean;
  readonly onChoose: () => void;
  readonly title: string;
  readonly figure: string;
}): ReactElement {
  return (
    <label
      className={`flex min-h-9 flex-wrap items-center gap-x-2.5 rounded-small px-2 ${checked ? 'bg-marker-soft' : ''} ${disabled ? 'text-muted' : ''}`}
    >
      <RadioButton name={`level-of-${name}`} checked={checked} disabled={disabled} onChange={onChoose} />
      <span className="min-w-48 font-semibold">{title}</span>
      <span className="text-muted">{figure}</span>
    </label>
  );
}
