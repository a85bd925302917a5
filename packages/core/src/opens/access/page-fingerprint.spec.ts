import { evidence, page } from '../../test/sample-evidence.js';
import { fingerprintOf, isOtherPage, simHash, type PageFingerprint } from './page-fingerprint.js';

const tides =
  'High water is at nine in the morning. Take your boots, a ruler and something to write with. We meet at the third breakwater and walk along the edge of the water, two by two, until the lighthouse. Today 14 people looked at this.';
const wall = 'You need a membership to go on. Ask the owner of this board, who looks at requests every Friday.';

describe('the hash of a text', () => {
  const differing = (one: string, other: string): number =>
    [...simHash(one)].reduce((sum, digit, at) => {
      const xor = parseInt(digit, 16) ^ parseInt(simHash(other)[at] ?? '0', 16);
      return sum + xor.toString(2).replace(/0/g, '').length;
    }, 0);

  it('is the same for the same words, whatever their capitals, blanks and figures', () => {
    expect(simHash(tides)).toMatch(/^[0-9a-f]{16}$/);
    expect(simHash(tides.toUpperCase().replace(/ /g, '\n  ').replace('14', '2048'))).toBe(simHash(tides));
    expect(simHash('')).toMatch(/^[0-9a-f]{16}$/);
  });

  it('is near for a text with a word more, and far for another text, in any writing', () => {
    expect(differing(tides, `${tides} Bring tea.`)).toBeLessThanOrEqual(10);
    expect(differing(tides, wall)).toBeGreaterThan(18);
    expect(
      differing('夜のあいだに砂州が動いた。だれもその音を聞かなかった。', 'ここの投稿はグループの人だけが見られます。'),
    ).toBeGreaterThan(18);
  });
});

describe('whether it is another page', () => {
  const seen = (text: string, title = 'Tides', fields: readonly string[] = []): PageFingerprint | null =>
    fingerprintOf(
      evidence({
        page: {
          title,
          textHash: simHash(text),
          forms: fields.length > 0 ? [{ action: '', method: 'post', fields, buttons: [] }] : [],
        },
      }),
    );

  it('is told by text, title and forms', () => {
    expect(isOtherPage(seen(tides), seen(tides))).toBe(false);
    expect(isOtherPage(seen(tides), seen(`${tides} Bring tea.`, 'Tides (2)'))).toBe(false);
    expect(isOtherPage(seen(tides), seen(wall))).toBe(true);
    expect(isOtherPage(seen(tides), seen(tides, 'Tides', ['email', 'password']))).toBe(true);
  });

  it('can’t be told where nothing came, and is told by type and title where there is no text', () => {
    const nothing = fingerprintOf({ ...evidence({}), final: null });
    expect(nothing).toBeNull();
    expect(isOtherPage(nothing, seen(tides))).toBeNull();
    expect(isOtherPage(seen(tides), nothing)).toBeNull();
    const file = (contentType: string) => fingerprintOf(evidence({ page: null, contentType }));
    expect(isOtherPage(file('application/x-odd'), file('application/x-odd'))).toBe(false);
    expect(isOtherPage(file('application/x-odd'), file('text/html'))).toBe(true);
    expect(isOtherPage(file('application/x-odd'), seen(tides))).toBe(true);
  });

  it('can’t be told between what a browser drew and what came without one', () => {
    const one = seen(tides);
    expect(isOtherPage(one, one && { ...one, drawn: true })).toBeNull();
    expect(isOtherPage(one && { ...one, drawn: true }, one && { ...one, drawn: true })).toBe(false);
  });

  it('holds no word of the page but its title', () => {
    expect(
      JSON.stringify(fingerprintOf(evidence({ page: page({ textHash: simHash(tides), title: 'T' }) }))),
    ).not.toContain('water');
  });
});
