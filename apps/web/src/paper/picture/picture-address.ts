import { routes, type PictureOptions } from '@hapset/contract';
import { addressOf } from '../../platform/api/client.js';
import { routeFor, type PlaceId } from '../../gather/material/place-id.js';

/** Where a code's picture is fetched, and saved under its own name. */
export function pictureAddress(place: PlaceId, options: Partial<PictureOptions>): string {
  const { route, params } = routeFor(place, routes.stationPicture, routes.materialPicture);
  return addressOf(route, params) + query(options);
}

export function lessonPicturesAddress(lessonId: string, options: Partial<PictureOptions>): string {
  return addressOf(routes.lessonPictures, { lessonId }) + query(options);
}

function query(options: Partial<PictureOptions>): string {
  const search = new URLSearchParams(Object.entries(options).map(([name, value]) => [name, String(value)])).toString();
  return search === '' ? '' : `?${search}`;
}
