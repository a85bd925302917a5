import { standingOfHost } from './web-host.js';

describe('a host', () => {
  it.each([
    'example.org',
    'www.example.co.uk',
    'fernhollow.school',
    'käse.example',
    'xn--kse-qla.example',
    'nas.local',
    'localhost',
    'a.localhost',
    '192.168.1.20',
    '[::1]',
    'EXAMPLE.ORG',
  ])('%s is known', (host) => expect(standingOfHost(host)).toBe('known'));

  it.each(['intranet', 'portal.fernhollow.scool', 'node.js', 'co.uk', 'a.invalid'])('%s is not listed', (host) =>
    expect(standingOfHost(host)).toBe('unlisted'),
  );

  it.each([
    '',
    '•',
    'a,b',
    '9.30',
    '2130706433',
    '300.1.1.1',
    '1.2.3',
    '-a.example',
    'a-.example',
    'a..example',
    '.example',
    'a_b.example',
    'a b.example',
    'a%2eb.example',
    '[::1',
    '[zz]',
    `${'a'.repeat(64)}.example`,
    `${'a.'.repeat(130)}example`,
  ])('%j is impossible', (host) => expect(standingOfHost(host)).toBe('impossible'));

  it('is known where the school listed it', () => {
    expect(standingOfHost('go.scool', (host) => host === 'go.scool')).toBe('known');
    expect(standingOfHost('other.scool', (host) => host === 'go.scool')).toBe('unlisted');
  });
});
