import { utils, write } from '@e965/xlsx';
import { decodeText, readListFile } from './list-file.js';
import { tableOf } from './table.js';

const rows = [
  ['Titel', 'Link', 'Aufgabe'],
  ['Gezeiten', 'https://a.example/gezeiten', 'Suche die nächste Ebbe'],
  ['Möwen; Krebse', 'https://a.example/möwen', 'Zähle, was du siehst'],
];
const csv = (delimiter: string): string => rows.map((row) => row.map((cell) => (cell.includes(delimiter) ? `"${cell}"` : cell)).join(delimiter)).join('\r\n');
const file = (content: BlobPart, name = 'list.csv'): File => new File([content], name);
const workbook = (bookType: 'xlsx' | 'ods'): Uint8Array<ArrayBuffer> => {
  const book = utils.book_new();
  utils.book_append_sheet(book, utils.aoa_to_sheet(rows), 'Stations');
  return new Uint8Array(write(book, { type: 'array', bookType }) as ArrayBuffer);
};
const windows1252 = (text: string): Uint8Array<ArrayBuffer> => Uint8Array.from([...text].map((character) => character.charCodeAt(0)));

describe('a list out of a file', () => {
  it.each<[string, BlobPart]>([
    ['CSV with commas', csv(',')],
    ['CSV with semicolons', csv(';')],
    ['TSV', csv('\t')],
    ['CSV with a byte order mark', `\ufeff${csv(';')}`],
    ['CSV in Windows-1252', windows1252(csv(';'))],
    ['CSV in UTF-16', Uint8Array.from([0xff, 0xfe, ...new Uint8Array(Uint16Array.from([...csv(';')].map((character) => character.charCodeAt(0))).buffer)])],
    ['XLSX', workbook('xlsx')],
    ['ODS', workbook('ods')],
    ['XLSX under a wrong name', workbook('xlsx')],
  ])('%s gives the same cells', async (_, content) => {
    expect(await readListFile(file(content))).toEqual({ ok: true, name: 'list.csv', rows, cut: false });
  });

  it('says what is wrong with a file, and never fails', async () => {
    expect(await readListFile(file(''))).toEqual({ ok: false, problem: 'empty' });
    expect(await readListFile(file(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9])))).toEqual({ ok: false, problem: 'not-a-list' });
    expect(await readListFile(file(Uint8Array.from([1, 0, 2, 0, 255])))).toEqual({ ok: false, problem: 'not-a-list' });
    expect(await readListFile(file(new Uint8Array(5 * 1024 * 1024 + 1)))).toEqual({ ok: false, problem: 'too-large' });
  });

  it('takes the first 5,000 rows and says so', async () => {
    const list = await readListFile(file('https://a.example/x,title\n'.repeat(5003)));
    expect(list).toMatchObject({ ok: true, cut: true });
    expect(list.ok && list.rows.length).toBe(5000);
  });

  it('reads text in the encodings that spreadsheets write', () => {
    expect(decodeText(new TextEncoder().encode('Möwe'))).toBe('Möwe');
    expect(decodeText(windows1252('Möwe'))).toBe('Möwe');
  });
});

describe('a pasted list', () => {
  it('is told from lines of links and words', () => {
    expect(tableOf('https://a.example/1\tTides\nhttps://a.example/2\tShells')).toHaveLength(2);
    expect(tableOf('https://a.example/1, Tides\nhttps://a.example/2, Shells')).toHaveLength(2);
    expect(tableOf('https://a.example/1\nhttps://a.example/2')).toBeNull();
    expect(tableOf('Meet at nine, bring boots\nRain, or shine')).toBeNull();
    expect(tableOf('https://a.example/1\tTides')).toBeNull();
  });
});
