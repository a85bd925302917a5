/**
 * Where a request comes from. Behind a proxy every connection is the proxy's: what it says of the visitor is believed
 * of those proxies alone that the installation declares, since anybody can write such a header.
 */
import type { IncomingMessage } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import proxyAddr from 'proxy-addr';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';

@Injectable()
export class VisitorAddress {
  private readonly isProxy: (address: string, hop: number) => boolean;

  constructor(@Inject(CONFIGURATION) { proxies }: Configuration) {
    this.isProxy = proxyAddr.compile([...proxies]);
  }

  /** Empty where the connection is gone already. */
  of(request: IncomingMessage): string {
    return request.socket.remoteAddress === undefined ? '' : proxyAddr(request, this.isProxy);
  }
}
