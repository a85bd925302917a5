/**
 * Where a request comes from. Behind a proxy every connection is the proxy's: what it says of the visitor is believed
 * of those proxies alone that the installation declares, since anybody can write such a header.
 */
import type { IncomingMessage } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import proxyAddr from 'proxy-addr';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';

@Injectable()
export class VisitorAddress {
  private readonly isProxy: (address: string, hop: number) => boolean;

  /** A proxy is in front that nobody declared: all visitors seem to come from it. */
  private sawUndeclared = false;

  constructor(
    @Inject(CONFIGURATION) { proxies, publicAddress }: Configuration,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.isProxy = proxyAddr.compile([...proxies]);
    // This server speaks plain HTTP alone: an address with https is a proxy's.
    if (proxies.length === 0 && publicAddress.startsWith('https:')) this.warn();
  }

  /** Whether visitors can't be told apart, for the administrator. */
  get undeclaredProxy(): boolean {
    return this.sawUndeclared;
  }

  /** Whether many visitors share its address: it came through a proxy whose word is not believed. */
  isShared(request: IncomingMessage): boolean {
    const { forwarded } = request.headers;
    const through = forwarded !== undefined || request.headers['x-forwarded-for'] !== undefined;
    const shared = through && !this.isProxy(request.socket.remoteAddress ?? '', 0);
    if (shared && !this.sawUndeclared) this.warn();
    return shared;
  }

  private warn(): void {
    this.sawUndeclared = true;
    this.logger.warn(
      'A proxy in front of this server is not declared, so all visitors seem to come from one address. Name it in HAPSET_PROXIES.',
    );
  }

  /** Empty where the connection is gone already. */
  find(request: IncomingMessage): string {
    return request.socket.remoteAddress === undefined ? '' : proxyAddr(request, this.isProxy);
  }
}
