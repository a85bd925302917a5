import { routes, type PicturesView } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { htmlLine } from './html-line.js';
import { Use } from './picture-use.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';
import { t } from '../words.js';

/** The code on web pages of others: an address of its own that always shows the code as it is, and can be switched off. */
export function WebPicture({
  materialId,
  name,
  pictures,
}: {
  readonly materialId: string;
  readonly name: string;
  readonly pictures: PicturesView;
}): ReactElement {
  const changed = useMaterialsChanged();
  const notice = useNotice();
  const show = useMutation({
    mutationFn: (shown: boolean) => call(routes.showWebPicture, { params: { materialId }, body: { shown } }),
    onSettled: changed,
    onError: (error) => notice({ words: wordsFor(error) }),
  });
  const { webAddress } = pictures;
  if (webAddress === null) {
    return (
      <Use title={t('webPicture.forAWebPage')} about={t('webPicture.aSecretAddressShowsThe')}>
        <Button disabled={show.isPending} onClick={() => show.mutate(true)}>
          {t('webPicture.createAddress')}
        </Button>
      </Use>
    );
  }
  const line = htmlLine(pictures, webAddress, name);
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(line);
    notice({ words: t('webPicture.hTMLCopied') });
  };
  return (
    <Use
      title={t('webPicture.forAWebPage')}
      about={
        <>
          {t('webPicture.pasteThisIntoThePages')}
          <code
            aria-label={t('webPicture.hTMLCode')}
            className="mt-1.5 block rounded-small bg-band/60 px-3 py-2 font-mono text-note break-all text-ink select-all"
          >
            {line}
          </code>
        </>
      }
    >
      <Button onClick={() => void copy()}>{t('webPicture.copyHTML')}</Button>
      <Button disabled={show.isPending} onClick={() => show.mutate(false)}>
        {t('webPicture.switchOff')}
      </Button>
    </Use>
  );
}
