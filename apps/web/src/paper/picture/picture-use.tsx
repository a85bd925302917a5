import type { ReactElement, ReactNode } from 'react';

/** What a picture is for, and the ways to get it. */
export function Use({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <li className="grid gap-x-5 gap-y-2 border-t border-line py-3.5 first:border-t-0 first:pt-0 last:pb-0 sm:grid-cols-[minmax(0,1fr)_auto]">
      <div className="min-w-0">
        <h3 className="m-0 text-group">{title}</h3>
        <p className="mt-0.5 mb-0 text-row text-muted">{about}</p>
      </div>
      <div className="flex flex-wrap content-start gap-2 sm:max-w-72 sm:justify-end">{children}</div>
    </li>
  );
}
