import { useEffect, type ReactElement, type ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly about?: ReactNode;
  /** Path to here, above the title. */
  readonly trail?: ReactNode;
  /** The page's actions; one of them at most is the main one. */
  readonly actions?: ReactNode;
}

export function PageHead({ title, about, trail, actions }: Props): ReactElement {
  useEffect(() => {
    document.title = `${title} · Hapset`;
  }, [title]);
  return (
    <header className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-3">
      <div className="min-w-0 flex-1 basis-72">
        {trail && <div className="text-small text-muted">{trail}</div>}
        <h1 className="m-0 text-page leading-tight break-words">{title}</h1>
        {about && <p className="mt-0.5 mb-0 text-body text-muted">{about}</p>}
      </div>
      {actions && <div className="flex flex-wrap gap-2.5">{actions}</div>}
    </header>
  );
}
