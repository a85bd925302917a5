import { routes, type PictureWish } from '@hapset/contract';
import { addressOf } from '../../platform/api/client.js';
import { routeFor, type PlaceId } from '../../gather/material/place-id.js';

/** Where a code's picture is fetched, and saved under its own name. */
export function pictureAddress(place: PlaceId, wish: Partial<PictureWish>): string {
  const { route, params } = routeFor(place, routes.stationPicture, routes.materialPicture);
  return addressOf(route, params) + query(wish);
}

export function lessonPicturesAddress(lessonId: string, wish: Partial<PictureWish>): string {
  return addressOf(routes.lessonPictures, { lessonId }) + query(wish);
}

function query(wish: Partial<PictureWish>): string {
  const search = new URLSearchParams(Object.entries(wish).map(([name, value]) => [name, String(value)])).toString();
  return search === '' ? '' : `?${search}`;
}
