/** A one-time link, shown once: to be copied, or read out as a code. */
import type { AccountLinkMade } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { dayAndTime } from '../../platform/wording/figures.js';
import { t } from './words.js';

export function LinkMade({
  made: { address, token, expiresAt },
  page,
  onClose,
}: {
  readonly made: AccountLinkMade;
  /** Where the code is typed: "https://hapset.school.example/join". */
  readonly page: string;
  readonly onClose: () => void;
}): ReactElement {
  const notice = useNotice();
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(address);
    notice({ words: t('linkMade.copied') });
  };
  return (
    <div className="flex flex-col gap-3">
      <p className="m-0 rounded-small bg-marker-soft px-3.5 py-2.5 font-mono text-row break-all">{address}</p>
      <p className="m-0 text-row">
        {t('linkMade.orType', { page })} <strong className="font-mono whitespace-nowrap">{token}</strong>
      </p>
      <p className="m-0 text-row text-muted">{t('linkMade.onceUntil', { time: dayAndTime(expiresAt) })}</p>
      <div className="flex justify-end gap-2">
        {/* Browsers give the clipboard to pages on https alone. */}
        {window.isSecureContext && <Button onClick={() => void copy()}>{t('linkMade.copy')}</Button>}
        <Button tone="main" onClick={onClose}>
          {t('linkMade.done')}
        </Button>
      </div>
    </div>
  );
}

/** The page of a link, where its code can be typed. */
export function pageOf({ address }: AccountLinkMade): string {
  return address.replace(/#.*$/, '').replace(/^https?:\/\//, '');
}
