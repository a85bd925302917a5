import { accessVerdicts } from '../access/judgement.js';
import { describeAddress, hostMatches, pathMatches } from './match.js';
import { mendingFor } from './mending.js';
import { shippedServices } from './shipped.js';

describe('matching an address', () => {
  it('ignores the port and the case of the host', () => {
    expect(describeAddress('http://COFFERLANE.localhost:1234/leaf/x', shippedServices)?.service.id).toBe('cofferlane');
  });

  it('knows the host even where it does not know the path', () => {
    expect(describeAddress('http://cofferlane.localhost/', shippedServices)).toMatchObject({ service: { id: 'cofferlane' }, address: null });
  });

  it('gives nothing for a stranger, or for a name that only ends alike', () => {
    expect(describeAddress('https://notcofferlane.example/leaf/x', shippedServices)).toBeNull();
    expect(describeAddress('nonsense', shippedServices)).toBeNull();
  });

  it.each([
    ['*.a.example', 'b.a.example', true],
    ['*.a.example', 'c.b.a.example', true],
    ['*.a.example', 'a.example', false],
    ['*.a.example', 'ba.example', false],
    ['a.example', 'A.Example', true],
  ])('host %s covers %s: %s', (pattern, host, expected) => expect(hostMatches(pattern, host)).toBe(expected));

  it.each([
    ['/leaf/*', '/leaf/x', true],
    ['/leaf/*', '/leaf/x/write', false],
    ['/leaf/**', '/leaf/x/write', true],
    ['/leaf/*/write', '/leaf/x/write', true],
    ['/leaf', '/leaf/', true],
    ['/leaf/*', '/leaf', false],
  ])('path %s fits %s: %s', (pattern, path, expected) => expect(pathMatches(pattern, path)).toBe(expected));
});

describe('mending', () => {
  it('gives the service’s own steps, and the page on which its owner does them', () => {
    const mending = mendingFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides?from=mail', shippedServices);
    expect(mending).toMatchObject({ service: 'Cofferlane', ownerPage: 'http://cofferlane.localhost:4310/leaf/tides/who' });
    expect(mending?.steps[0]).toContain('**Who may look**');
  });

  it('has steps for every verdict but open, also at a stranger’s', () => {
    for (const verdict of accessVerdicts) {
      const mending = mendingFor(verdict, 'https://stranger.example/x', shippedServices);
      if (verdict === 'open') expect(mending).toBeNull();
      else expect(mending?.steps.length).toBeGreaterThan(0);
    }
  });
});
