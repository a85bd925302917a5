import { accessVerdicts, type AccessVerdict } from '../../gather/service-description/access-verdict.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import { mendingFor, otherLinkFor } from './mending.js';

describe('mending', () => {
  it('gives the service’s own steps, and the page on which its owner does them', () => {
    const mending = mendingFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides?from=mail', sampleCatalogue);
    expect(mending).toMatchObject({
      service: 'Cofferlane',
      ownerPage: 'http://cofferlane.localhost:4310/leaf/tides/who',
    });
    expect(mending?.steps[0]).toContain('**Who may look**');
  });

  it('is known to help only where the service is described', () => {
    const leaf = 'http://cofferlane.localhost:4310/leaf/tides';
    expect(mendingFor('sign-in', leaf, sampleCatalogue)?.known).toBe(true);
    expect(mendingFor('failing', leaf, sampleCatalogue)?.known).toBe(false);
    expect(mendingFor('sign-in', 'https://stranger.example/x', sampleCatalogue)?.known).toBe(false);
  });

  it('begins with another link where the given one is the editor’s', () => {
    const leaf = 'http://cofferlane.localhost:4310/leaf/tides';
    expect(otherLinkFor(`${leaf}/write`, sampleCatalogue)).toBe(leaf);
    expect(otherLinkFor(leaf, sampleCatalogue)).toBeNull();
    expect(otherLinkFor('https://stranger.example/edit', sampleCatalogue)).toBeNull();
  });

  it('finds that page from the editor’s address too', () => {
    expect(mendingFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides/write', sampleCatalogue)?.ownerPage).toBe(
      'http://cofferlane.localhost:4310/leaf/tides/who',
    );
  });

  it('says no page of the owner where the service names none', () => {
    expect(mendingFor('failing', 'http://cofferlane.localhost:4310/leaf/tides', sampleCatalogue)).toMatchObject({
      service: 'Cofferlane',
      ownerPage: null,
    });
  });

  it.each<[AccessVerdict, RegExp]>([
    ['sign-in', /Let everyone who has the link look/],
    ['named-only', /shared with chosen people only/],
    ['organisation', /accounts of the school/],
    ['closed', /take answers again/],
    ['open-editable', /let everyone look only/],
    ['partial', /named items/],
    ['obstructed', /a device like your students/],
    ['missing', /paste the new address here/],
    ['empty', /write something on the page/],
    ['failing', /in a minute/],
    ['unknown', /nobody is signed in/],
    ['refused', /begins with http or https/],
  ])('says what helps at a stranger’s: %s', (verdict, words) =>
    expect(mendingFor(verdict, 'https://stranger.example/x', sampleCatalogue)?.steps.join(' ')).toMatch(words),
  );

  it('has steps for every verdict but open, also at a stranger’s', () => {
    for (const verdict of accessVerdicts) {
      const mending = mendingFor(verdict, 'https://stranger.example/x', sampleCatalogue);
      if (verdict === 'open') expect(mending).toBeNull();
      else expect(mending?.steps.length).toBeGreaterThan(0);
    }
  });
});
