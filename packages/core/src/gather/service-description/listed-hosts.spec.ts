import { sampleCatalogue } from '../../test/sample-services.js';
import { emptyCatalogue } from './catalogue.js';
import { listedHosts } from './listed-hosts.js';

describe('hosts that the school named', () => {
  it('are those of its services and its own, by name or by address', () => {
    const isListed = listedHosts(sampleCatalogue, ['http://portal.scool:4301', 'go.scool', null]);
    expect(['portal.scool', 'go.scool', 'cofferlane.example', 'askleaf.localhost'].map(isListed)).toEqual(
      Array(4).fill(true),
    );
    expect(['scool', 'other.scool', 'http://portal.scool:4301', ''].map(isListed)).toEqual(Array(4).fill(false));
  });

  it('are none without any', () => expect(listedHosts(emptyCatalogue)('a.example')).toBe(false));
});
