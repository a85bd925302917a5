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
      {canShareFiles() && <HandOn words="Share picture" act={() => sharePicture(pictureAddress(place, {}), name)} />}
      <a
        className={buttonClass()}
        href={pictureAddress(place, {})}
        download
        title={`PNG, ${pictures.documentMm} mm wide when it is pasted into a document`}
      >
        Save picture
      </a>
      <Button onClick={() => setOpen(true)}>Other pictures</Button>
      {open && (
        <Dialog
          title="Pictures of this code"
          about="What is it for? Each file is named after the code."
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
      <Use
        title="For a document"
        about={`${documentMm} mm wide when it is pasted, for a page on a table. Not smaller than ${smallestMm} mm, or some device no longer reads it.`}
      >
        <Save address={pictureAddress(place, { use: 'document', format: 'png' })} words="PNG" />
        {canCopyPictures() && (
          <HandOn
            words="Copy"
            done="The picture is on the clipboard."
            act={() => copyPicture(pictureAddress(place, { use: 'document', format: 'png' }))}
          />
        )}
      </Use>
      <Use
        title="For printing"
        about={`${printingMm} mm wide, as it reads from where students stand. SVG and PDF stay sharp at any size.`}
      >
        <Save address={pictureAddress(place, { use: 'printing', format: 'pdf' })} words="PDF" />
        <Save address={pictureAddress(place, { use: 'printing', format: 'svg' })} words="SVG" />
        <Save address={pictureAddress(place, { use: 'printing', format: 'png', dpi: 300 })} words="PNG 300 dpi" />
        <Save address={pictureAddress(place, { use: 'printing', format: 'png', dpi: 600 })} words="PNG 600 dpi" />
        <Save address={pictureAddress(place, { use: 'printing', format: 'jpeg', dpi: 300 })} words="JPEG" />
      </Use>
      <Use title="For the board" about="Large enough for a projector or a screen on the wall.">
        <Save address={pictureAddress(place, { use: 'board', format: 'png' })} words="PNG" />
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
