import { namesListed } from '../../platform/wording/figures.js';
import type { ChangeMaterial, MaterialPage } from '@hapset/contract';
import { contentText, documentFromText, inTheHandMm, tooFineInTheHand } from '@hapset/core';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** What is too long to be read even in the hand moves to a page of its own, in one click, and back. */
export function OfferPage({ page }: { readonly page: MaterialPage }): ReactElement | null {
  const { material, code, rehearsal } = page;
  const change = useChangeMaterial(material.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const held = heldInTheCode(page);
  const tooFine = code ? tooFineInTheHand(code.modules, rehearsal.devices).map(({ name }) => name) : [];
  if (held === null || (code !== null && tooFine.length === 0)) return null;
  const move = (): void =>
    sendChange(
      change,
      { version: material.version, kept: { kind: 'written-page', document: documentFromText(held.text) } },
      {
        onSuccess: ({ version }) =>
          notice({
            words: t('offerPage.itIsOnAPage'),
            undo: () => sendChange(change, { version, ...held.back }),
          }),
      },
    );
  return (
    <div className="mt-2.5 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-small border border-line-strong px-3 py-2 text-row">
      {code && (
        <span className="flex min-w-0 flex-1 items-center gap-2">
          <StateMark mark="look-at" words={t('offerPage.needsAttention')} />
          <span>{t('offerPage.cantReadItEvenOn', { inTheHandMm, devices: namesListed(tooFine) })}</span>
        </span>
      )}
      <Button onClick={move} disabled={change.isPending}>
        {t('offerPage.putItOnAPage')}
      </Button>
    </div>
  );
}

/** What moves, and what restores it; null for what is not in the code itself. */
function heldInTheCode({
  material: { words, content },
}: MaterialPage): { readonly text: string; readonly back: Omit<ChangeMaterial, 'version'> } | null {
  if (words !== null) return { text: words, back: { words } };
  return content === null ? null : { text: contentText(content), back: { content } };
}
