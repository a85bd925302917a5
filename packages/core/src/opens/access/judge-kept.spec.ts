import type { FileFacts, FileFindings, KeptFacts, Media } from '../../gather/kept/file-facts.js';
import { emptyCatalogue } from '../../gather/service-description/catalogue.js';
import type { InsideItem } from './evidence.js';
import { judgeKept } from './judge-kept.js';
import { rightsOf } from './rights.js';
import { judgeAccess } from './verdict.js';

const played = (format: 'mp4-h264' | 'webm' | null): FileFindings => ({
  kind: 'played',
  format,
  name: 'AVI, DIVX',
  durationS: 3,
});
const file = (media: Media, findings: FileFindings | null = null, more: Partial<FileFacts> = {}): FileFacts => ({
  name: 'limpets',
  media,
  contentType: 'video/x-ms-asf',
  sizeBytes: 900,
  findings,
  hasPdf: false,
  ...more,
});
const one = (shown: FileFacts | null): KeptFacts => ({ kind: 'file', files: [shown], characters: 0 });
const page = (characters: number, ...files: (FileFacts | null)[]): KeptFacts => ({
  kind: 'written-page',
  files,
  characters,
});

describe('what the school keeps itself', () => {
  it.each<[string, KeptFacts, string, string]>([
    ['a PDF', one(file('pdf', { kind: 'pages', pages: 2 })), 'open', 'kept-here'],
    ['a picture', one(file('picture')), 'open', 'kept-here'],
    ['a sound', one(file('sound', played('mp4-h264'))), 'open', 'kept-here'],
    ['a film, whatever devices play', one(file('film', played('webm'))), 'open', 'kept-here'],
    ['an office file with a PDF of it', one(file('office', null, { hasPdf: true })), 'open', 'kept-here'],
    ['a page with words', page(12), 'open', 'kept-here'],
    ['a page with a picture alone', page(0, file('picture')), 'open', 'kept-here'],
    [
      'pictures',
      { kind: 'picture-set', files: [file('picture'), file('picture')], characters: 0 },
      'open',
      'kept-here',
    ],
    ['an empty page', page(0), 'empty', 'page-empty'],
    ['a page whose only file is gone', page(0, null), 'empty', 'page-empty'],
    ['a file that is gone', one(null), 'empty', 'file-gone'],
    ['a file without a byte', one(file('other', null, { sizeBytes: 0 })), 'empty', 'file-empty'],
    ['a damaged film', one(file('film', { kind: 'damaged' })), 'empty', 'file-damaged'],
    ['a page with a damaged film', page(40, file('film', { kind: 'damaged' })), 'partial', 'file-damaged'],
    ['a PDF behind a password', one(file('pdf', { kind: 'password' })), 'obstructed', 'file-password'],
    ['a format that no browser plays', one(file('film', played(null))), 'obstructed', 'format-unusual'],
    ['an office file alone', one(file('office')), 'obstructed', 'needs-program'],
    ['an archive', one(file('other')), 'obstructed', 'download-only'],
    ['captions without a film', one(file('captions')), 'obstructed', 'download-only'],
    ['a film that could not be looked into', one(file('film')), 'unknown', 'file-unread'],
    ['a PDF that could not be looked into', one(file('pdf')), 'unknown', 'file-unread'],
  ])('%s', (_, kept, verdict, reason) => {
    const judged = judgeKept(kept);
    expect([judged.verdict, judged.reasons[0]?.reason]).toEqual([verdict, reason]);
  });

  it('names the format, or the file', () => {
    expect(judgeKept(one(file('film', played(null)))).reasons).toEqual([
      { reason: 'format-unusual', detail: 'AVI, DIVX' },
    ]);
    expect(judgeKept(one(file('other'))).reasons).toEqual([{ reason: 'download-only', detail: 'limpets' }]);
  });

  it('is partly locked where a link on a page is', () => {
    const item = (name: string, verdict: InsideItem['verdict']): InsideItem => ({
      name,
      address: 'https://a.example',
      verdict,
      depth: 1,
    });
    const inside = [item('Guide', 'sign-in'), item('Film', 'open'), item('Slow', 'unknown')];
    expect(judgeKept(page(20), inside)).toEqual({
      verdict: 'partial',
      reasons: [{ reason: 'holds-locked', detail: 'Guide' }],
    });
    expect(judgeKept(page(20), [item('Film', 'open')]).verdict).toBe('open');
  });

  it('is judged without a single request', () => {
    const kept = one(file('pdf', { kind: 'pages', pages: 2 }));
    const evidence = {
      asked: 'https://school.example/p/x',
      hops: [],
      ending: 'answered',
      final: null,
      elapsedMs: 0,
      kept,
    } as const;
    expect(judgeAccess(evidence, emptyCatalogue)).toMatchObject({ verdict: 'open' });
    expect(rightsOf(evidence, emptyCatalogue)).toMatchObject({ look: true, download: true, change: false });
    expect(rightsOf({ ...evidence, kept: page(9) }, emptyCatalogue)).toMatchObject({ look: true, download: false });
  });
});
