/** What a look leaves, in figures: contrast as printed, spare repair, and what fixes what is wrong. */
import { centreLeaves, standing, type LookJudgement, type LookReason } from '@hapset/core';
import type { ReactElement, ReactNode } from 'react';
import { StateMark, type Mark } from '../../platform/design/state-mark.js';
import { percent } from '../../platform/wording/figures.js';
import { lookReasonWords } from '../../platform/wording/looks.js';
import { t } from '../words.js';

const contrastReasons: readonly LookReason[] = ['too-little-contrast', 'light-on-dark'];
const repairReasons: readonly LookReason[] = ['covers-patterns', 'beyond-repair', 'little-spare-repair'];

export function ContrastFigure({ judgement }: { readonly judgement: LookJudgement }): ReactElement {
  const { colour, grey } = judgement.contrast;
  return (
    <Figure
      mark={markOf(judgement, contrastReasons)}
      title={t('lookFigures.contrast')}
      figure={t('lookFigures.inColourInGrey', {
        colour: percent(colour.symbolContrast),
        grey: percent(grey.symbolContrast),
      })}
    >
      {t('lookFigures.blackOnWhiteHas77')}
    </Figure>
  );
}

export function RepairFigure({ judgement }: { readonly judgement: LookJudgement }): ReactElement {
  const { spare, centre } = judgement;
  const left = Math.max(0, spare.spare);
  return (
    <Figure
      mark={markOf(judgement, repairReasons)}
      title={t('lookFigures.spareErrorCorrection')}
      figure={percent(left)}
    >
      <span className="mt-1 mb-1 block h-[7px] overflow-hidden rounded-full bg-line" aria-hidden>
        <span
          className={`block h-full rounded-full ${left >= centreLeaves ? 'bg-done' : left > 0 ? 'bg-look' : 'bg-stop'}`}
          style={{ width: `${left * 100}%` }}
        />
      </span>
      {centre === null
        ? t('lookFigures.nothingCoversTheCodeAll')
        : t('lookFigures.theMiddleTakesModulesOf', {
            count: spare.repairable,
            width: centre.width,
            height: centre.height,
            errors: spare.errors,
          })}
    </Figure>
  );
}

export function Figure({
  mark,
  title,
  figure,
  children,
}: {
  readonly mark: Mark;
  readonly title: string;
  readonly figure: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <div className="flex gap-2.5 py-2">
      <span className="mt-px shrink-0">
        <StateMark mark={mark} words={title} />
      </span>
      <div className="min-w-0 flex-1 text-note leading-snug text-muted">
        <p className="m-0 text-body text-ink">
          <strong>{title}</strong> {figure}
        </p>
        <div>{children}</div>
      </div>
    </div>
  );
}

/** What is wrong, worst first, each with a way out beside it. */
export function ReasonList({
  judgement,
  fix,
}: {
  readonly judgement: LookJudgement;
  readonly fix?: (reason: LookReason) => ReactNode;
}): ReactElement | null {
  if (judgement.reasons.length === 0) return null;
  return (
    <ul className="m-0 flex list-none flex-col gap-2 p-0" aria-label={t('lookFigures.problemsOfThisLook')}>
      {judgement.reasons.map((reason) => (
        <li key={reason} className="flex items-start gap-2.5 text-row">
          <span className="mt-0.5 shrink-0">
            <StateMark
              mark={standing([reason]).state}
              words={standing([reason]).state === 'stop' ? t('lookFigures.fails') : t('lookFigures.needsAttention')}
            />
          </span>
          <span className="min-w-0 flex-1">
            {lookReasonWords[reason].long}
            {fix?.(reason)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function markOf({ reasons }: LookJudgement, of: readonly LookReason[]): Mark {
  return standing(reasons.filter((reason) => of.includes(reason))).state;
}
