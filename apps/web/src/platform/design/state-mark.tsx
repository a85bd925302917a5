import { Check, Minus, X } from 'lucide';
import type { ReactElement } from 'react';
import { Icon } from './icon.js';

export type Mark = 'done' | 'look-at' | 'stop' | 'not-yet';

/** A state's shape and colour; `words` is read aloud, the figure beside it says the rest. */
export function StateMark({ mark, words }: { readonly mark: Mark; readonly words: string }): ReactElement {
  return (
    <span className="inline-flex size-[22px] shrink-0 items-center justify-center" role="img" aria-label={words}>
      {mark === 'done' && (
        <span className="flex size-[21px] items-center justify-center rounded-full bg-done-soft text-done">
          <Icon icon={Check} size={14} strokeWidth={2.6} />
        </span>
      )}
      {mark === 'look-at' && (
        <span className="relative flex size-[21px] items-center justify-center text-look">
          <span className="absolute size-[15px] rotate-45 rounded-xs bg-look-soft" />
          <Icon icon={Minus} size={13} strokeWidth={2.8} className="relative" />
        </span>
      )}
      {mark === 'stop' && (
        <span className="flex size-[21px] items-center justify-center rounded-fine bg-stop text-sheet">
          <Icon icon={X} size={14} strokeWidth={2.6} />
        </span>
      )}
      {mark === 'not-yet' && (
        <span className="size-[20px] rounded-full border-[1.5px] border-dashed border-line-strong" />
      )}
    </span>
  );
}
