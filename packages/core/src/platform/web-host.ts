/** Hosts of addresses, and what can be told from a host's name alone. */

/** Host name of an address, without port; null for what is no address. */
export function hostNameOf(address: string): string | null {
  return URL.canParse(address) ? new URL(address).hostname : null;
}

const loopback = /^(?:localhost|.*\.localhost|127\.\d+\.\d+\.\d+|\[::1\]|\[::ffff:7f[0-9a-f]{2}:[0-9a-f]{1,4}\])$/;

/** True for names and addresses that lead to the machine itself (RFC 6761, 6.3; RFC 4291, 2.5.3). @param hostName as `URL` writes it */
export function isLoopbackHost(hostName: string): boolean {
  return loopback.test(hostName);
}
