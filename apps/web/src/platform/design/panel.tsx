import type { ReactElement, ReactNode } from 'react';

/** One part of a page: white on the paper colour, with a title. */
export function Panel({
  title,
  aside,
  action,
  mark,
  children,
}: {
  readonly title?: ReactNode;
  readonly aside?: ReactNode;
  readonly action?: ReactNode;
  readonly mark?: ReactNode;
  readonly children?: ReactNode;
}): ReactElement {
  return (
    <section className="rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
      {title && (
        <div className="mb-1.5 flex flex-wrap items-center gap-x-2.5 gap-y-1">
          <span className="flex min-w-0 items-center gap-2.5">
            {mark}
            <h2 className="m-0 text-panel leading-tight">{title}</h2>
          </span>
          {aside && <span className="text-small text-muted">{aside}</span>}
          {action && <span className="ml-auto flex gap-2">{action}</span>}
        </div>
      )}
      {children}
    </section>
  );
}
