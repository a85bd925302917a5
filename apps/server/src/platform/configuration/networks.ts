/** Networks by name of their addresses: "10.20.0.0/16", "2001:db8:5::/48", or one address alone. */
import ipaddr from 'ipaddr.js';

/** True where it can be read as a network. The whole internet is none: that would be everybody, and by accident at that. */
export function isNetwork(value: unknown): boolean {
  return typeof value === 'string' && rangeOf(value) !== null;
}

/** Whether the address lies in one of the networks; an IPv4 address counts as itself however it is written. */
export function isIn(networks: readonly string[], address: string): boolean {
  if (!ipaddr.isValid(address)) return false;
  const asked = ipaddr.process(address);
  return networks.some((network) => {
    const range = rangeOf(network);
    return range !== null && range[0].kind() === asked.kind() && asked.match(range);
  });
}

function rangeOf(network: string): [ipaddr.IPv4 | ipaddr.IPv6, number] | null {
  try {
    // "10.20" would be read as 10.0.0.20.
    if (!network.includes(':') && !/^\d+(?:\.\d+){3}(?:\/\d+)?$/.test(network)) return null;
    const range = network.includes('/') ? ipaddr.parseCIDR(network) : alone(ipaddr.parse(network));
    return range[1] === 0 ? null : range;
  } catch {
    return null;
  }
}

function alone(address: ipaddr.IPv4 | ipaddr.IPv6): [ipaddr.IPv4 | ipaddr.IPv6, number] {
  return [address, address.kind() === 'ipv4' ? 32 : 128];
}
