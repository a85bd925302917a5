/** What a list shows when it has nothing to list: empty, loading, failed. */
import type { ReactElement, ReactNode } from 'react';
import { Button } from './button.js';
import { t } from '../language/words.js';

export function Empty({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactElement {
  return (
    <div className="rounded-sheet border border-dashed border-line-strong px-6 py-9 text-center">
      <p className="m-0 font-heading text-panel font-semibold">{title}</p>
      <p className="mx-auto mt-1.5 mb-0 max-w-[52ch] text-body text-muted">{children}</p>
    </div>
  );
}

/** Keeps the place of `rows` rows, so that nothing jumps when they come. */
export function Loading({ rows = 4, label }: { readonly rows?: number; readonly label: string }): ReactElement {
  return (
    <div role="status" aria-label={label} className="overflow-hidden rounded-sheet border border-line bg-sheet">
      {Array.from({ length: rows }, (_, index) => (
        <div
          key={index}
          className="flex h-16 animate-pulse items-center gap-4 border-b border-line px-4 last:border-b-0"
        >
          <span className="size-10 shrink-0 rounded-fine bg-line" />
          <span className="h-3.5 w-2/5 max-w-52 rounded bg-line" />
          <span className="ml-auto h-3.5 w-1/5 max-w-24 rounded bg-line" />
        </div>
      ))}
    </div>
  );
}

export function Failed({ words, onRetry }: { readonly words: string; readonly onRetry: () => void }): ReactElement {
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-3 rounded-sheet border border-stop bg-sheet px-5 py-4 text-body"
    >
      <span className="flex-1">{words}</span>
      <Button onClick={onRetry}>{t('listStates.tryAgain')}</Button>
    </div>
  );
}
