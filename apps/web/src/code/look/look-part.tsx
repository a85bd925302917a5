/** How the code looks, who chose it, and what that leaves. */
import { plainLookChoice, type LookChoice, type MaterialPage } from '@hapset/contract';
import type { ErrorCorrectionLevel } from '@hapset/core';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useNotice } from '../../platform/design/notice.js';
import { FoldingPanel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { failing, lookOriginWords, plainLookWords } from '../../platform/wording/looks.js';
import { ContrastFigure, ReasonList, RepairFigure } from './look-figures.js';
import { designAddress } from './design-address.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

// Drawing looks needs the icons; who never opens this does not load them.
const ChooseForCode = lazy(() => import('./choose-for-code.js'));

export function LookPart({ page }: { readonly page: MaterialPage }): ReactElement | null {
  const { look, code } = page;
  const [choosing, setChoosing] = useState(false);
  if (!code || !look.judgement) return null;
  const name = look.name ?? plainLookWords;
  return (
    <FoldingPanel
      id="look"
      name={t('lookPart.itsLook')}
      calm={look.judgement.state === 'done' && look.judgement.freeLevel === null}
      mark={
        <StateMark
          mark={look.judgement.state}
          words={look.judgement.state === 'done' ? t('lookPart.lookGood') : t('lookPart.lookNeedsAttention')}
        />
      }
      title={t('lookPart.look', { name })}
      aside={look.from === 'nobody' ? '' : lookOriginWords[look.from]}
      action={
        <>
          <Button onClick={() => setChoosing(true)}>{t('lookPart.chooseALook')}</Button>
          <Link to={designAddress(page)} className={buttonClass()}>
            {t('lookPart.designALook')}
          </Link>
        </>
      }
    >
      <div className="grid gap-x-6 sm:grid-cols-2">
        <ContrastFigure judgement={look.judgement} />
        <RepairFigure judgement={look.judgement} />
      </div>
      <ReasonList judgement={look.judgement} />
      {look.judgement.freeLevel !== null && <FreeLevel page={page} level={look.judgement.freeLevel} />}
      {choosing && <ChooseLook page={page} onClose={() => setChoosing(false)} />}
    </FoldingPanel>
  );
}

function ChooseLook({ page, onClose }: { readonly page: MaterialPage; readonly onClose: () => void }): ReactElement {
  const change = useChangeMaterial(page.material.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const before = page.material.look;
  const choose = (choice: LookChoice, words: string): void =>
    sendChange(
      change,
      { version: page.material.version, look: choice },
      {
        onSuccess: ({ version }) => {
          onClose();
          notice({ words, undo: () => sendChange(change, { version, look: before }) });
        },
      },
    );
  return (
    <Dialog title={t('lookPart.chooseALook')} about={t('lookPart.previewOnThisCodeIts')} wide onClose={onClose}>
      <Suspense>
        <ChooseForCode
          page={page}
          disabled={change.isPending}
          onChoose={(choice, fails) => choose(choice, t('lookPart.theCodeHasThisLook', { failing: failing(fails) }))}
        />
      </Suspense>
      {before !== null && (
        <p className="mt-4 mb-0 flex flex-wrap items-center gap-3 border-t border-line pt-4 text-row text-muted">
          <span className="flex-1">
            {before === plainLookChoice ? t('lookPart.thisCodeIsSetTo') : t('lookPart.chosenForThisCodeWithout')}
          </span>
          <Button disabled={change.isPending} onClick={() => choose(null, t('lookPart.itHasTheLookOf'))}>
            {t('lookPart.useTheirLook')}
          </Button>
        </p>
      )}
    </Dialog>
  );
}

/** More repair for nothing: proposed where a level was chosen by hand that is not the highest that the same size holds. */
function FreeLevel({
  page: { material },
  level,
}: {
  readonly page: MaterialPage;
  readonly level: ErrorCorrectionLevel;
}): ReactElement {
  const change = useChangeMaterial(material.id);
  const sendChange = useSendChange();
  return (
    <p className="mt-2 mb-0 flex flex-wrap items-center gap-3 text-row">
      <span className="flex-1">{t('lookPart.levelRepairsMoreDamageAnd', { level })}</span>
      <Button disabled={change.isPending} onClick={() => sendChange(change, { version: material.version, level })}>
        {t('lookPart.useLevel', { level })}
      </Button>
    </p>
  );
}
