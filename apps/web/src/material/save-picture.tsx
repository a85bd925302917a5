import { routes } from '@hapset/contract';
import type { ReactElement } from 'react';
import { addressOf } from '../api/client.js';
import { buttonClass } from '../design/button.js';
import { routeFor, type PlaceId } from './place-id.js';

/** The code as a file, named after the station: a picture for documents, vector for printing. */
export function SavePicture({ place }: { readonly place: PlaceId }): ReactElement {
  const png = routeFor(place, routes.stationPng, routes.materialPng);
  const svg = routeFor(place, routes.stationSvg, routes.materialSvg);
  return (
    <>
      <a className={buttonClass()} href={addressOf(png.route, png.params)} download>
        Save picture
      </a>
      <a className={buttonClass('plain', 'max-sm:hidden')} href={addressOf(svg.route, svg.params)} download title="SVG: stays sharp at any size">
        For printing
      </a>
    </>
  );
}
