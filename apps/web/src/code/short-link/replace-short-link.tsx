import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { useReplaceShortLink } from './short-link.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';

/** Of an earlier version: short enough to be guessed. */
export function ReplaceShortLink({ materialId }: { readonly materialId: string }): ReactElement {
  const replace = useReplaceShortLink();
  const notice = useNotice();
  const sendChange = useSendChange();
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1 text-small">
      <span className="text-look">
        Replace before the next print: it is short enough to be guessed. Printed codes go on working.
      </span>
      <Button
        disabled={replace.isPending}
        onClick={() =>
          sendChange(replace, materialId, {
            onSuccess: () => notice({ words: 'Replaced. New prints carry the longer link; printed codes still work.' }),
          })
        }
      >
        Replace
      </Button>
    </span>
  );
}
