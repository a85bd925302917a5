/** Addresses of the WHATWG URL standard: read without exceptions, and what can be told from a host's name alone. */

/**
 * `new URL` without the exception; null for what is no address.
 * Not by `URL.canParse`: Node 20 answers false for addresses with letters like "ü" once the call is compiled to machine code.
 * @param base resolves a relative address
 */
export function parseUrl(address: string, base?: string): URL | null {
  try {
    return new URL(address, base);
  } catch {
    return null;
  }
}

/** Scheme, host and port in lower case (RFC 6454); null for what is no web address. */
export function originOf(address: string): string | null {
  return isWebAddress(address) ? (parseUrl(address)?.origin.toLowerCase() ?? null) : null;
}

/** True for an absolute http or https address with a host. */
export function isWebAddress(text: string): boolean {
  if (/\s/.test(text)) return false;
  const url = parseUrl(text);
  return url !== null && (url.protocol === 'http:' || url.protocol === 'https:') && url.hostname !== '';
}

/** Host name of an address, without port; null for what is no address. */
export function hostNameOf(address: string): string | null {
  return parseUrl(address)?.hostname ?? null;
}

const loopback = /^(?:localhost|.*\.localhost|127\.\d+\.\d+\.\d+|\[::1\]|\[::ffff:7f[0-9a-f]{2}:[0-9a-f]{1,4}\])$/;

/** True for names and addresses that lead to the machine itself (RFC 6761, 6.3; RFC 4291, 2.5.3). @param hostName as `URL` writes it */
export function isLoopbackHost(hostName: string): boolean {
  return loopback.test(hostName);
}
