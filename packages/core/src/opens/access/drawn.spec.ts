import { evidence, page, signInForm } from '../../test/sample-evidence.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import { differsUndrawn, mayBeRejudged, wantsDrawing, withDrawn, type DrawnView } from './drawn.js';
import type { Evidence, PageFacts } from './evidence.js';
import type { Judgement } from './judgement.js';
import { judgeAccess } from './verdict.js';

const empty = { firstLines: [], visibleCharacters: 0, contentCharacters: 0, scripts: 2 };
const article = { title: 'Tides', firstLines: ['Low tide at nine'], visibleCharacters: 900, contentCharacters: 900 };
const drawn = (facts: Partial<PageFacts>, more: Partial<DrawnView> = {}, layerShare = 0): DrawnView => ({
  address: 'https://a.example/leaf/x',
  status: 200,
  contentType: 'text/html',
  hops: [],
  page: page(facts),
  facts: {
    contentAfterMs: 300,
    stoppedBy: null,
    requests: 3,
    failedRequests: 0,
    downloads: 0,
    layerShare,
    headings: [],
  },
  ...more,
});
const judge = (seen: Evidence): readonly string[] => {
  const { verdict, reasons } = judgeAccess(seen, sampleCatalogue);
  return [verdict, ...reasons.map(({ reason }) => reason)];
};
const plain = evidence({ page: empty });

describe('a page that a browser drew', () => {
  it('is judged by what it shows', () => {
    expect(judge(plain)).toEqual(['unknown', 'needs-script']);
    expect(judge(withDrawn(plain, drawn(article)))).toEqual(['open', 'shows-content']);
    expect(judge(withDrawn(plain, drawn({ ...empty, scripts: 0 })))).toEqual(['unknown', 'nothing-to-see']);
    expect(judge(withDrawn(plain, drawn({ title: 'In', forms: [signInForm], visibleCharacters: 30 })))[0]).toBe(
      'sign-in',
    );
  });

  it('is locked where its scripts lead to a sign-in', () => {
    const gate = 'https://gate.example/sign-in?next=x';
    const hops = [
      { address: 'https://a.example/leaf/x', status: 200, elapsedMs: 5 },
      { address: gate, status: 200, elapsedMs: 90 },
    ];
    const seen = withDrawn(
      plain,
      drawn({ title: 'Sign in', forms: [signInForm], visibleCharacters: 30 }, { address: gate, hops }),
    );
    expect(judge(seen)[0]).toBe('sign-in');
    expect(seen.hops.map(({ address }) => address)).toEqual(['https://a.example/leaf/x', gate]);
  });

  it('proves nothing by what lies behind a layer, nor by what the layer asks', () => {
    const choices = {
      action: '',
      method: 'post' as const,
      fields: ['checkbox', 'checkbox', 'checkbox'],
      buttons: ['Souhlasim'],
    };
    for (const more of [
      {},
      { players: 2 },
      { forms: [choices] },
      { editableCharacters: 900 },
      { contentCharacters: 900 },
    ])
      expect(
        judge(withDrawn(plain, drawn({ firstLines: ['Vyberte ucet'], visibleCharacters: 12, ...more }, {}, 0.9))),
      ).toEqual(['unknown', 'covered', 'no-proof']);
  });

  it('is never called open where it leads on and on', () => {
    const { facts } = drawn(article);
    expect(judge(withDrawn(plain, drawn(article, { facts: { ...facts, stoppedBy: 'page-changes' } })))).toEqual([
      'unknown',
      'keeps-changing',
    ]);
  });

  it('takes status and type of the last document, and of the plain answer where none came', () => {
    expect(judge(withDrawn(plain, drawn(article, { status: 403 })))[0]).toBe('named-only');
    expect(withDrawn(plain, drawn(article, { status: null, contentType: '' })).final).toMatchObject({
      status: 200,
      contentType: 'text/html',
    });
  });

  it('says where it is another page without its scripts', () => {
    const before = evidence({ page: { ...article, title: 'Tides' } });
    expect(differsUndrawn(withDrawn(before, drawn(article)))).toBeNull();
    expect(differsUndrawn(withDrawn(before, drawn({ ...article, title: 'Sign in' })))).toMatchObject({
      title: 'Tides',
    });
    expect(differsUndrawn(withDrawn(plain, drawn(article)))).toMatchObject({ visibleCharacters: 0 });
    expect(differsUndrawn(plain)).toBeNull();
  });
});

describe('whether a browser looks as well', () => {
  const wants = (shape: Parameters<typeof evidence>[0], soon = false): boolean => {
    const seen = evidence(shape);
    return wantsDrawing(seen, judgeAccess(seen, sampleCatalogue), soon);
  };
  const locked = { status: 401, page: { title: 'In', visibleCharacters: 10 } };

  it('is where a script could change what is seen, where nothing is proven, and for what is wanted soon', () => {
    expect(wants({ page: empty })).toBe(true);
    expect(wants({ page: { title: 'Hello', visibleCharacters: 30 } })).toBe(true);
    expect(wants({ page: { ...article, scripts: 1 } })).toBe(true);
    expect(wants({ page: article })).toBe(false);
    expect(wants({ page: article }, true)).toBe(true);
    expect([wants(locked), wants(locked, true)]).toEqual([false, true]);
    expect(wants({ page: null, contentType: 'application/pdf' }, true)).toBe(false);
  });

  it('is where it holds something of which nothing can be told, also a page that is kept here', () => {
    const inside = (verdict: 'unknown' | 'open') => [{ name: 'a', address: 'https://a.example/1', verdict, depth: 1 }];
    const open: Judgement = { verdict: 'open', reasons: [] };
    const holder = evidence({ page: article });
    expect(wantsDrawing({ ...holder, inside: inside('open') }, open, false)).toBe(false);
    expect(wantsDrawing({ ...holder, inside: inside('unknown') }, open, false)).toBe(true);
    expect(
      wantsDrawing(
        {
          ...holder,
          kept: { kind: 'written-page', files: [], characters: 90 },
          final: null,
          inside: inside('unknown'),
        },
        open,
        false,
      ),
    ).toBe(true);
  });

  it('changes no verdict that is certain without it', () => {
    const verdicts = [
      'sign-in',
      'organisation',
      'named-only',
      'closed',
      'missing',
      'failing',
      'refused',
      'empty',
    ] as const;
    for (const verdict of verdicts) expect(mayBeRejudged({ verdict, reasons: [] })).toBe(false);
    for (const verdict of ['open', 'partial', 'obstructed', 'open-editable', 'unknown'] as const)
      expect(mayBeRejudged({ verdict, reasons: [] })).toBe(true);
  });
});
