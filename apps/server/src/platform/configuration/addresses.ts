/** Addresses of this server that an administrator may set: what can't be parsed later must not be saved now. */

import { parseUrl } from '@hapset/core';

/** http or https, a host that URLs can have (WHATWG URL, host parser), perhaps a folder; no query and no fragment. */
export function isPublicAddress(value: string): boolean {
  if (!/^https?:\/\/[^/?#@\s]+(?:\/[^?#\s]*)?$/i.test(value)) return false;
  const url = parseUrl(value);
  return url !== null && url.hostname !== '' && url.username === '' && url.password === '';
}

/** A host with or without a port, as the Host header carries it. */
export function isShortHost(value: string): boolean {
  return /^[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?(?::\d{1,5})?$/i.test(value) && isPublicAddress(`http://${value}`);
}
