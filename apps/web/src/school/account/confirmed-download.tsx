/** A file that asks for the password again: asked first, so that the browser gets the file and no problem instead. */
import { routes } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';

/** @returns what saves the file at an address of this server, once the password was given lately */
export function useConfirmedDownload(): (address: string) => void {
  const notice = useNotice();
  return useMutation({
    mutationFn: (_address: string) => call(routes.confirmation),
    onSuccess: (_, address) => location.assign(address),
    onError: (error) => {
      if (!(error instanceof ApiError) || error.reason !== 'password-needed') notice({ words: wordsFor(error) });
    },
  }).mutate;
}

export function ConfirmedDownload({
  address,
  className = 'font-semibold text-ink',
  children,
}: {
  readonly address: string;
  readonly className?: string;
  readonly children: ReactNode;
}): ReactElement {
  const save = useConfirmedDownload();
  return (
    <a
      href={address}
      download
      className={className}
      onClick={(event) => {
        event.preventDefault();
        save(address);
      }}
    >
      {children}
    </a>
  );
}
