/** A file that asks for the password again: asked first, so that the browser gets the file and no problem instead. */
import { routes } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';

export function ConfirmedDownload({
  address,
  className = 'font-semibold text-ink',
  children,
}: {
  readonly address: string;
  readonly className?: string;
  readonly children: ReactNode;
}): ReactElement {
  const notice = useNotice();
  const confirm = useMutation({
    mutationFn: () => call(routes.confirmation),
    onSuccess: () => location.assign(address),
    onError: (error) => {
      if (!(error instanceof ApiError) || error.reason !== 'password-needed') notice({ words: wordsFor(error) });
    },
  });
  return (
    <a
      href={address}
      download
      className={className}
      onClick={(event) => {
        event.preventDefault();
        confirm.mutate();
      }}
    >
      {children}
    </a>
  );
}
