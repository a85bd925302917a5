import { accessVerdicts, type AccessVerdict } from '../../gather/service-description/access-verdict.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import { remedyFor, otherLinkFor } from './remedy.js';

describe('a remedy', () => {
  it('gives the service’s own steps, and the page on which its owner does them', () => {
    const remedy = remedyFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides?from=mail', sampleCatalogue);
    expect(remedy).toMatchObject({
      service: 'Cofferlane',
      ownerPage: 'http://cofferlane.localhost:4310/leaf/tides/who',
    });
    expect(remedy?.steps[0]).toContain('**Who may look**');
  });

  it('is known to help only where the service is described', () => {
    const leaf = 'http://cofferlane.localhost:4310/leaf/tides';
    expect(remedyFor('sign-in', leaf, sampleCatalogue)?.known).toBe(true);
    expect(remedyFor('failing', leaf, sampleCatalogue)?.known).toBe(false);
    expect(remedyFor('sign-in', 'https://stranger.example/x', sampleCatalogue)?.known).toBe(false);
  });

  it('begins with another link where the given one is the editor’s', () => {
    const leaf = 'http://cofferlane.localhost:4310/leaf/tides';
    expect(otherLinkFor(`${leaf}/write`, sampleCatalogue)).toBe(leaf);
    expect(otherLinkFor(leaf, sampleCatalogue)).toBeNull();
    expect(otherLinkFor('https://stranger.example/edit', sampleCatalogue)).toBeNull();
  });

  it('finds that page from the editor’s address too', () => {
    expect(remedyFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides/write', sampleCatalogue)?.ownerPage).toBe(
      'http://cofferlane.localhost:4310/leaf/tides/who',
    );
  });

  it('says no page of the owner where the service names none', () => {
    expect(remedyFor('failing', 'http://cofferlane.localhost:4310/leaf/tides', sampleCatalogue)).toMatchObject({
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
    expect(remedyFor(verdict, 'https://stranger.example/x', sampleCatalogue)?.steps.join(' ')).toMatch(words),
  );

  it('has steps for every verdict but open, also at a stranger’s', () => {
    for (const verdict of accessVerdicts) {
      const remedy = remedyFor(verdict, 'https://stranger.example/x', sampleCatalogue);
      if (verdict === 'open') expect(remedy).toBeNull();
      else expect(remedy?.steps.length).toBeGreaterThan(0);
    }
  });
});
