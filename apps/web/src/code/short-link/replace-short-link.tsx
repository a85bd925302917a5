import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { useReplaceShortLink } from './short-link.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

/** Of an earlier version: short enough to be guessed. */
export function ReplaceShortLink({ materialId }: { readonly materialId: string }): ReactElement {
  const replace = useReplaceShortLink();
  const notice = useNotice();
  const sendChange = useSendChange();
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1 text-small">
      <span className="text-look">{t('replaceShortLink.replaceItBeforeYouPrint')}</span>
      <Button
        disabled={replace.isPending}
        onClick={() =>
          sendChange(replace, materialId, {
            onSuccess: () => notice({ words: t('replaceShortLink.replacedNewPrintsHaveThe') }),
          })
        }
      >
        {t('replaceShortLink.replace')}
      </Button>
    </span>
  );
}
