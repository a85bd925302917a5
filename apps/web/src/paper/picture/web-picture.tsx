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
      <Use
        title="For a web page"
        about="An address that nobody guesses shows the code on any page, always as it is now. You can switch it off."
      >
        <Button disabled={show.isPending} onClick={() => show.mutate(true)}>
          Make an address
        </Button>
      </Use>
    );
  }
  const line = htmlLine(pictures, webAddress, name);
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(line);
    notice({ words: 'The line is on the clipboard.' });
  };
  return (
    <Use
      title="For a web page"
      about={
        <>
          Put this line into the page’s HTML. It shows the code as it is now, also after a change.
          <code
            aria-label="HTML line"
            className="mt-1.5 block rounded-small bg-band/60 px-3 py-2 font-mono text-note break-all text-ink select-all"
          >
            {line}
          </code>
        </>
      }
    >
      <Button onClick={() => void copy()}>Copy the line</Button>
      <Button disabled={show.isPending} onClick={() => show.mutate(false)}>
        Switch off
      </Button>
    </Use>
  );
}
