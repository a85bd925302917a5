import type { ReactElement } from 'react';
import { TextButton } from '../design/button.js';
import { dayAndTime } from '../wording/figures.js';
import type { DraftHandle } from './use-draft.js';
import { t } from '../language/words.js';

/** Offers what was typed or chosen here before and never saved. */
export function DraftOffer<Value>({
  draft: { found, used, discard },
  onUse,
}: {
  readonly draft: DraftHandle<Value>;
  readonly onUse: (value: Value) => void;
}): ReactElement | null {
  if (!found) return null;
  return (
    <p
      role="status"
      className="m-0 flex flex-wrap items-center gap-x-3 gap-y-1 rounded-small bg-marker-soft px-3 py-2 text-row"
    >
      <span>{t('draftOffer.youHaveAnUnsavedDraft', { time: dayAndTime(new Date(found.savedAt).toISOString()) })}</span>
      <span className="flex gap-x-3">
        <TextButton
          onClick={() => {
            onUse(found.value);
            used();
          }}
        >
          {t('draftOffer.useDraft')}
        </TextButton>
        <TextButton onClick={discard}>{t('draftOffer.discardDraft')}</TextButton>
      </span>
    </p>
  );
}
