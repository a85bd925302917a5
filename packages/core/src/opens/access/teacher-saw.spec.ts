import { evidence, page } from '../../test/sample-evidence.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import { differsFromSeen, showsWhatTeacherSaw } from './teacher-saw.js';
import { judgeAccess } from './verdict.js';

const saw = 'Tide tables. High water at nine on Monday, at ten on Tuesday. Bring boots and a ruler.';
const short = { title: 'Tide tables', visibleCharacters: 90 };
const wall = { ...short, firstLines: ['Tide tables', 'Tento deník je jen pro členy oddílu Racek z přístavu.'] };
const same = {
  ...short,
  firstLines: ['Tide tables', 'High water at nine on Monday,', 'at ten on Tuesday. Bring boots', 'and a ruler.'],
};

describe('what the teacher saw', () => {
  it('is found again whatever breaks its lines, in any writing, beside a bar of one’s own', () => {
    expect(showsWhatTeacherSaw(page(same), saw)).toBe(true);
    expect(showsWhatTeacherSaw(page(same), `Maren Dallow My shelf ${saw.toUpperCase()}`)).toBe(true);
    const tides =
      '夜のあいだに砂州が動いた。村じゅうが起きていて、風と風のあいだの波を数えていたのに、だれもその音を聞かなかった。';
    expect(showsWhatTeacherSaw(page({ firstLines: [tides] }), tides)).toBe(true);
  });

  it('is not found by a title alone, nor where too little is known', () => {
    expect(showsWhatTeacherSaw(page(wall), saw)).toBe(false);
    expect(showsWhatTeacherSaw(page(wall), 'Tide tables')).toBeNull();
    expect(showsWhatTeacherSaw(page(wall), undefined)).toBeNull();
  });

  it('proves that a short page is the material, and a wall is shown beside it', () => {
    const judged = (facts: object, teacherSaw?: string) =>
      judgeAccess({ ...evidence({ page: facts }), ...(teacherSaw !== undefined && { teacherSaw }) }, sampleCatalogue);
    expect(judged(same).verdict).toBe('unknown');
    expect(judged(same, saw)).toMatchObject({ verdict: 'open', reasons: [{ reason: 'as-teacher-saw' }] });
    expect(judged(wall, saw).verdict).toBe('unknown');
    expect(differsFromSeen({ ...evidence({ page: wall }), teacherSaw: saw })).toEqual({
      saw,
      got: 'Tide tables · Tento deník je jen pro členy oddílu Racek z přístavu.',
    });
    for (const facts of [same, { ...wall, visibleCharacters: 4000 }])
      expect(differsFromSeen({ ...evidence({ page: facts }), teacherSaw: saw })).toBeNull();
  });

  it('proves nothing behind a layer', () => {
    const { drawn, ...seen } = { ...evidence({ page: same }), drawn: undefined };
    expect(drawn).toBeUndefined();
    const facts = {
      contentAfterMs: 1,
      stoppedBy: null,
      requests: 1,
      failedRequests: 0,
      downloads: 0,
      headings: [],
      plain: null,
    };
    expect(judgeAccess({ ...seen, teacherSaw: saw, drawn: { ...facts, layerShare: 1 } }, sampleCatalogue).verdict).toBe(
      'unknown',
    );
  });
});
