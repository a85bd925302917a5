import type { IncomingMessage } from 'node:http';
import { pino } from 'pino';
import type { Configuration } from '../../platform/configuration/configuration.js';
import type { AppLogger } from '../../platform/logging/logger.token.js';
import { VisitorAddress } from './visitor-address.js';

const asked = (remoteAddress: string | undefined, headers: IncomingMessage['headers'] = {}): IncomingMessage =>
  ({ socket: { remoteAddress }, headers }) as IncomingMessage;

describe('where a request comes from', () => {
  const warnings: string[] = [];
  const logger = Object.assign(pino({ level: 'silent' }), {
    warn: (words: string) => warnings.push(words),
  }) as unknown as AppLogger;
  const addresses = (proxies: readonly string[], publicAddress = 'http://127.0.0.1:4300'): VisitorAddress =>
    new VisitorAddress({ proxies, publicAddress } as Configuration, logger);
  beforeEach(() => void warnings.splice(0));

  it('is the connection’s own address, whatever a header says', () => {
    expect(addresses([]).find(asked('203.0.113.7', { 'x-forwarded-for': '10.0.0.1' }))).toBe('203.0.113.7');
    expect(addresses([]).find(asked(undefined))).toBe('');
  });

  it('is what a declared proxy says', () => {
    const declared = addresses(['10.0.0.5']);
    const request = asked('10.0.0.5', { 'x-forwarded-for': '203.0.113.7' });
    expect(declared.find(request)).toBe('203.0.113.7');
    expect(declared.isShared(request)).toBe(false);
    expect(declared.undeclaredProxy).toBe(false);
  });

  it('is shared behind a proxy that nobody declared, which is said once', () => {
    const undeclared = addresses([]);
    expect(undeclared.undeclaredProxy).toBe(false);
    for (const headers of [{ 'x-forwarded-for': '203.0.113.7' }, { forwarded: 'for=203.0.113.7' }]) {
      expect(undeclared.isShared(asked('10.0.0.5', headers))).toBe(true);
    }
    expect(undeclared.isShared(asked('10.0.0.5'))).toBe(false);
    expect(undeclared.undeclaredProxy).toBe(true);
    expect(warnings).toHaveLength(1);
    expect(warnings[0]).toContain('HAPSET_PROXIES');
  });

  it('is warned of at the start where the public address can only be a proxy’s', () => {
    expect(addresses([], 'https://hapset.school.example').undeclaredProxy).toBe(true);
    expect(addresses(['10.0.0.5'], 'https://hapset.school.example').undeclaredProxy).toBe(false);
    expect(warnings).toHaveLength(1);
  });
});
