import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { browserText } from '../../test/pdf-text.js';
import { sampleOrder, sheetSamples, type SampleRequest, type SheetSampleName } from '../../test/sheet-samples.js';
import { answerTask } from './sheet.work.js';

/** Without direction marks, and with single spaces. */
const plain = (text: string): string =>
  text
    .replace(/[\u200e\u200f\u202a-\u202e]/gu, '')
    .replace(/\s+/gu, ' ')
    .trim();

/**
 * Lines of scripts without blanks end anywhere; and on a page with more Latin letters than others, pdftotext puts the mark at the end of a
 * line from right to left before it.
 */
const asCopied = (text: string, sample: SheetSampleName): string =>
  sample === 'cjk' ? text.replace(/\s/gu, '') : sample === 'hebrew' ? text.replace(/[?.]/gu, '') : text;
/** Conjuncts are drawn in parts, between which a browser's viewer puts blanks. */
const asFound = (text: string, sample: SheetSampleName): string =>
  sample === 'cjk' || sample === 'devanagari' ? text.replace(/\s/gu, '') : text;

describe('the text of a sheet', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sheet-text-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  const drawn = async (request: SampleRequest): Promise<string> => {
    const bytes = (await answerTask({ kind: 'pdf', order: sampleOrder(request) })) as Uint8Array;
    const file = join(folder, `${request.kind}-${request.sample}-${request.layout ?? ''}.pdf`);
    writeFileSync(file, bytes);
    execFileSync('qpdf', ['--check', file]);
    return file;
  };
  const run = (program: string, ...options: readonly string[]): string =>
    execFileSync(program, options, { encoding: 'utf8' });
  it.each(Object.keys(sheetSamples) as SheetSampleName[])('can be searched and copied: %s', async (sample) => {
    const file = await drawn({ kind: 'poster', sample });
    const { title, task, tap } = sheetSamples[sample];
    const copied = plain(run('pdftotext', file, '-'));
    const found = plain(browserText(file));
    for (const text of [title, task, tap]) {
      expect(asCopied(copied, sample)).toContain(asCopied(text, sample));
      expect(asFound(found, sample)).toContain(asFound(text, sample));
    }
  });

  it('has words apart from each other across lines, headings, figures with words, and the address as it is typed', async () => {
    const file = await drawn({ kind: 'poster', sample: 'long' });
    const structure = run('pdfinfo', '-struct-text', file);
    expect(structure).toMatch(/Sect\s+P \(block\)\s+"12"\s+H1 \(block\)/u);
    expect(structure).toContain(`"${sheetSamples.long.title}"`);
    expect(structure).toContain(`"${sheetSamples.long.task}"`);
    expect(structure.indexOf('Figure')).toBeGreaterThan(structure.indexOf(sheetSamples.long.task));
    expect(structure.indexOf('Figure')).toBeLessThan(structure.indexOf('Then tap'));
    expect(structure).not.toContain('cofferlane.example/folders');
    const usual = run('pdfinfo', '-struct-text', await drawn({ kind: 'poster', sample: 'usual' }));
    expect(usual).toContain('"k.fernhollow.example/leaf/2"');
    expect(usual).toMatch(/"Fernhollow School · Life between the tides · 6 Kestrel · Biology room"\s*$/u);
  });

  it('names the language of each text, and of the sheet', async () => {
    const second = { point: 'وجّه الكاميرا إلى هنا.', tap: 'ثم اضغط على العنوان الذي يظهر.' };
    const file = await drawn({ kind: 'poster', sample: 'hebrew', layout: 'two-languages', second });
    const object = run('qpdf', '--qdf', '--object-streams=disable', file, '-');
    const languages = [...object.matchAll(/\/Lang \(([^)]+)\)/gu)].map(([, tag]) => tag);
    expect(new Set(languages)).toEqual(new Set(['en', 'he', 'ar']));
    expect(object).toMatch(/\/Alt /u);
    expect(object).toContain('/Artifact');
    expect(object).toContain('/MarkInfo');
  });

  it('is read once where it is printed twice', async () => {
    const file = await drawn({ kind: 'table-card', sample: 'usual', count: 2 });
    const structure = run('pdfinfo', '-struct-text', file);
    expect(structure.match(/H1 \(block\)/gu)).toHaveLength(2);
    expect(run('pdftotext', file, '-').match(/limpets/gu)?.length).toBeGreaterThanOrEqual(4);
  });
});
