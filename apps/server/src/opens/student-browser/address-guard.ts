/**
 * What the server may connect to when it opens links that people paste. Decided on the resolved address at
 * connection time, for every hop: a name is looked up once, judged, and that very address is connected to, so that a
 * second look-up can't answer otherwise. Hosts that the configuration trusts (`host:port`) pass.
 */
import { lookup as dnsLookup, type LookupAddress, type LookupOptions } from 'node:dns';
import { isIP, type LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';
import { buildConnector } from 'undici';

export class GuardedAddressError extends Error {
  readonly code = 'HAPSET_GUARDED';
}

/** True for addresses of the open internet: no loopback, private, link-local, shared, multicast or otherwise special range. */
export function isPublicAddress(address: string): boolean {
  const plain = address.replace(/^\[|\]$/g, '').replace(/%.*$/, '');
  return ipaddr.isValid(plain) && ipaddr.process(plain).range() === 'unicast';
}

/** Node's `dns.lookup` for all addresses of a name; another one in tests. */
export type LookUpAll = (
  hostname: string,
  options: LookupOptions & { readonly all: true },
  callback: (error: NodeJS.ErrnoException | null, addresses: LookupAddress[]) => void,
) => void;

export class AddressGuard {
  private readonly trusted: ReadonlySet<string>;

  /** @param trustedHosts `host:port`, in lower case */
  constructor(
    trustedHosts: readonly string[],
    private readonly lookUp: LookUpAll = dnsLookup,
  ) {
    this.trusted = new Set(trustedHosts);
  }

  isTrusted(hostname: string, port: string | number): boolean {
    return this.trusted.has(`${hostname.toLowerCase()}:${port}`);
  }

  /**
   * The look-up to connect with, by `node:net` and `node:tls` too. It judges what it finds; literal addresses are
   * connected to without a look-up, so they are judged here.
   * @throws GuardedAddressError for a literal address that is not public
   */
  lookupFor(hostname: string, port: string | number): LookupFunction {
    if (this.isTrusted(hostname, port)) return trustedLookup;
    const literal = hostname.replace(/^\[|\]$/g, '');
    if (isIP(literal) !== 0 && !isPublicAddress(literal)) throw new GuardedAddressError(literal);
    return guardedLookup(this.lookUp);
  }

  /** A connector for undici that refuses before a single byte is sent. */
  connector(): buildConnector.connector {
    const open = buildConnector({ lookup: guardedLookup(this.lookUp), timeout: 5000 } as buildConnector.BuildOptions);
    const trusted = buildConnector({ lookup: trustedLookup, timeout: 5000 } as buildConnector.BuildOptions);
    return (options, callback) => {
      const port = options.port || (options.protocol === 'https:' ? '443' : '80');
      try {
        (this.lookupFor(options.hostname, port) === trustedLookup ? trusted : open)(options, callback);
      } catch (error) {
        if (!(error instanceof GuardedAddressError)) throw error;
        callback(error, null);
      }
    };
  }
}

/** For the school's own pages for students: wherever its public address leads. Whoever uses it has looked at the address. */
export function ownConnector(): buildConnector.connector {
  return buildConnector({ lookup: trustedLookup, timeout: 5000 } as buildConnector.BuildOptions);
}

/** Looks a name up and refuses when any of its addresses is special: which one gets used is not ours to choose. */
export function guardedLookup(lookUp: LookUpAll): LookupFunction {
  return (hostname, options, callback) => {
    lookUp(hostname, { ...(options as LookupOptions), all: true }, (error, addresses) => {
      if (error) callback(error, '', 0);
      else if (addresses.length === 0 || addresses.some(({ address }) => !isPublicAddress(address)))
        callback(new GuardedAddressError(hostname), '', 0);
      else answer(addresses, options, callback);
    });
  };
}

/** Names under `.localhost` are loopback (RFC 6761); Node does not resolve them by itself. */
const trustedLookup: LookupFunction = (hostname, options, callback) => {
  if (hostname === 'localhost' || hostname.endsWith('.localhost'))
    answer([{ address: '127.0.0.1', family: 4 }], options, callback);
  else
    dnsLookup(hostname, { ...(options as LookupOptions), all: true }, (error, addresses) =>
      error ? callback(error, '', 0) : answer(addresses, options, callback),
    );
};

function answer(
  addresses: readonly LookupAddress[],
  options: LookupOptions,
  callback: Parameters<LookupFunction>[2],
): void {
  const [first] = addresses;
  if (options.all) callback(null, [...addresses]);
  else callback(null, first?.address ?? '', first?.family ?? 4);
}
