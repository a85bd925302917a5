import { routes } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { addressOf } from '../api/client.js';
import { Button, buttonClass } from '../design/button.js';
import { useNotice } from '../design/notice.js';
import { problemWords } from '../wording/problems.js';
import { routeFor, type PlaceId } from './place-id.js';

/** The code as a file, named after the station: to the share sheet of a phone, a picture for documents, vector for printing. */
export function SavePicture({ place, name }: { readonly place: PlaceId; readonly name: string }): ReactElement {
  const png = routeFor(place, routes.stationPng, routes.materialPng);
  const svg = routeFor(place, routes.stationSvg, routes.materialSvg);
  const address = addressOf(png.route, png.params);
  return (
    <>
      {canShareFiles() && <SharePicture address={address} name={name} />}
      <a className={buttonClass()} href={address} download>
        Save picture
      </a>
      <a className={buttonClass('plain', 'max-sm:hidden')} href={addressOf(svg.route, svg.params)} download title="SVG: stays sharp at any size">
        For printing
      </a>
    </>
  );
}

/** Phones offer this; most laptops don't. */
function canShareFiles(): boolean {
  return typeof navigator.canShare === 'function' && navigator.canShare({ files: [new File([], 'code.png', { type: 'image/png' })] });
}

function SharePicture({ address, name }: { readonly address: string; readonly name: string }): ReactElement {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const share = async (): Promise<void> => {
    setBusy(true);
    try {
      const response = await fetch(address);
      if (!response.ok) throw new Error(String(response.status));
      await navigator.share({ title: name, files: [new File([await response.blob()], `${name}.png`, { type: 'image/png' })] });
    } catch (error) {
      // Closing the share sheet is no failure.
      if (!(error instanceof DOMException && error.name === 'AbortError')) notice({ words: problemWords.unreachable });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Button disabled={busy} onClick={() => void share()}>
      Share picture
    </Button>
  );
}
