import type { MaterialPage, PicturesView } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useNotice } from '../../platform/design/notice.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { problemWords } from '../../platform/wording/problems.js';
import { canCopyPictures, canShareFiles, copyPicture, sharePicture } from './hand-on.js';
import { Use } from './picture-use.js';
import { pictureAddress } from './picture-address.js';
import { WebPicture } from './web-picture.js';
import { t } from '../words.js';

interface Props {
  readonly page: MaterialPage;
  readonly place: PlaceId;
  readonly name: string;
}

/** The code as a picture: the usual one in one click, all others named by what they are for; on a phone to the share sheet. */
export function SavePicture({ page, place, name }: Props): ReactElement | null {
  const [open, setOpen] = useState(false);
  const { pictures } = page;
  if (!pictures) return null;
  return (
    <>
      {canShareFiles() && (
        <HandOn words={t('savePicture.sharePicture')} act={() => sharePicture(pictureAddress(place, {}), name)} />
      )}
      <a
        className={buttonClass()}
        href={pictureAddress(place, {})}
        download
        title={t('savePicture.pNGMmWideInA', { documentMm: pictures.documentMm })}
      >
        {t('savePicture.savePicture')}
      </a>
      <Button onClick={() => setOpen(true)}>{t('savePicture.moreFormats')}</Button>
      {open && (
        <Dialog
          title={t('savePicture.picturesOfThisCode')}
          about={t('savePicture.whatIsItForEach')}
          wide
          onClose={() => setOpen(false)}
        >
          <Uses page={page} place={place} pictures={pictures} />
        </Dialog>
      )}
    </>
  );
}

function Uses({
  page,
  place,
  pictures,
}: {
  readonly page: MaterialPage;
  readonly place: PlaceId;
  readonly pictures: PicturesView;
}): ReactElement {
  const { documentMm, smallestMm, printingMm } = pictures;
  return (
    <ul className="m-0 flex list-none flex-col p-0">
      <Use title={t('savePicture.forADocument')} about={t('savePicture.mmWideToReadOn', { documentMm, smallestMm })}>
        <Save address={pictureAddress(place, { use: 'document', format: 'png' })} words={t('savePicture.pNG')} />
        {canCopyPictures() && (
          <HandOn
            words={t('savePicture.copy')}
            done={t('savePicture.pictureCopied')}
            act={() => copyPicture(pictureAddress(place, { use: 'document', format: 'png' }))}
          />
        )}
      </Use>
      <Use title={t('savePicture.forPrinting')} about={t('savePicture.mmWideForWhereStudents', { printingMm })}>
        <Save address={pictureAddress(place, { use: 'printing', format: 'pdf' })} words={t('savePicture.pDF')} />
        <Save address={pictureAddress(place, { use: 'printing', format: 'svg' })} words={t('savePicture.sVG')} />
        <Save
          address={pictureAddress(place, { use: 'printing', format: 'png', dpi: 300 })}
          words={t('savePicture.pNG300Dpi')}
        />
        <Save
          address={pictureAddress(place, { use: 'printing', format: 'png', dpi: 600 })}
          words={t('savePicture.pNG600Dpi')}
        />
        <Save
          address={pictureAddress(place, { use: 'printing', format: 'jpeg', dpi: 300 })}
          words={t('savePicture.jPEG')}
        />
      </Use>
      <Use title={t('savePicture.forTheProjector')} about={t('savePicture.largeEnoughForAProjector')}>
        <Save address={pictureAddress(place, { use: 'board', format: 'png' })} words={t('savePicture.pNG')} />
      </Use>
      <WebPicture materialId={page.material.id} name={page.material.title} pictures={pictures} />
    </ul>
  );
}

function Save({ address, words }: { readonly address: string; readonly words: string }): ReactElement {
  return (
    <a className={buttonClass()} href={address} download>
      {words}
    </a>
  );
}

/** Does something with the picture; says when it is done, and when it is not. */
function HandOn({
  words,
  done,
  act,
}: {
  readonly words: string;
  readonly done?: string;
  readonly act: () => Promise<void>;
}): ReactElement {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const run = async (): Promise<void> => {
    setBusy(true);
    try {
      await act();
      if (done) notice({ words: done });
    } catch {
      notice({ words: problemWords.unreachable });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Button disabled={busy} onClick={() => void run()}>
      {words}
    </Button>
  );
}
