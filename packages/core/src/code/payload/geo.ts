/** A place as `geo:` URI in WGS 84 (RFC 5870). Five decimals are about a metre; more would make the code finer for nothing. */
import type { PlaceContent } from '../../gather/content/content.js';

/** `geo:` address (RFC 5870), to the fifth decimal: about a metre. */
export function geoPayload({ latitude, longitude }: Pick<PlaceContent, 'latitude' | 'longitude'>): string {
  return `geo:${shortDegrees(latitude)},${shortDegrees(longitude)}`;
}

/** Null for what is no `geo:` address. Degrees. */
export function readGeo(payload: string): PlaceContent | null {
  const found = /^geo:(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)(?:[,;?].*)?$/i.exec(payload);
  return found ? { kind: 'place', name: '', latitude: Number(found[1]), longitude: Number(found[2]) } : null;
}

function shortDegrees(degrees: number): string {
  const short = degrees.toFixed(5).replace(/\.?0+$/, '');
  return short === '-0' ? '0' : short;
}
