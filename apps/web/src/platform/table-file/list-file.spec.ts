import { utils, write } from '@e965/xlsx';
import { readListFile } from './list-file.js';
import { unpackedBytes } from './zip-size.js';
import { tableOf } from './table.js';

const rows = [
  ['Titel', 'Link', 'Aufgabe'],
  ['Gezeiten', 'https://a.example/gezeiten', 'Suche die nächste Ebbe'],
  ['Möwen; Krebse', 'https://a.example/möwen', 'Zähle, was du siehst'],
];
const csv = (delimiter: string): string =>
  rows.map((row) => row.map((cell) => (cell.includes(delimiter) ? `"${cell}"` : cell)).join(delimiter)).join('\r\n');
const file = (content: BlobPart, name = 'list.csv'): File => new File([content], name);
const workbook = (bookType: 'xlsx' | 'ods'): Uint8Array<ArrayBuffer> => {
  const book = utils.book_new();
  utils.book_append_sheet(book, utils.aoa_to_sheet(rows), 'Stations');
  return new Uint8Array(write(book, { type: 'array', bookType }) as ArrayBuffer);
};
const windows1252 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from([...text].map((character) => character.charCodeAt(0)));

describe('a list out of a file', () => {
  it.each<[string, BlobPart]>([
    ['CSV with commas', csv(',')],
    ['CSV with semicolons', csv(';')],
    ['TSV', csv('\t')],
    ['CSV with a byte order mark', `\ufeff${csv(';')}`],
    ['CSV in Windows-1252', windows1252(csv(';'))],
    [
      'CSV in UTF-16',
      Uint8Array.from([
        0xff,
        0xfe,
        ...new Uint8Array(Uint16Array.from([...csv(';')].map((character) => character.charCodeAt(0))).buffer),
      ]),
    ],
    ['XLSX', workbook('xlsx')],
    ['ODS', workbook('ods')],
    ['XLSX under a wrong name', workbook('xlsx')],
  ])('%s gives the same cells', async (_, content) => {
    expect(await readListFile(file(content))).toMatchObject({ ok: true, name: 'list.csv', rows, cut: false });
  });

  it('says what is wrong with a file, and never fails', async () => {
    expect(await readListFile(file(''))).toEqual({ ok: false, problem: 'empty' });
    expect(await readListFile(file(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9])))).toEqual({
      ok: false,
      problem: 'not-a-list',
    });
    expect(await readListFile(file(Uint8Array.from([1, 0, 2, 0, 255])))).toEqual({ ok: false, problem: 'not-a-list' });
    expect(await readListFile(file(new Uint8Array(5 * 1024 * 1024 + 1)))).toEqual({ ok: false, problem: 'too-large' });
  });

  it('counts no line break at its end as a row, and as many rows as are asked for', async () => {
    const list = await readListFile(file(`id,name\n${'1,Ann\n'.repeat(5000)}\n\n`), {
      keepEmpty: true,
      mostRows: 5050,
    });
    expect(list).toMatchObject({ ok: true, cut: false });
    expect(list.ok && list.rows.length).toBe(5001);
  });

  it('takes the first 5,000 rows and says so', async () => {
    const list = await readListFile(file('https://a.example/x,title\n'.repeat(5003)));
    expect(list).toMatchObject({ ok: true, cut: true });
    expect(list.ok && list.rows.length).toBe(5000);
  });

  it('reads in another encoding where that is asked for, and keeps empty rows in their places', async () => {
    const polish = windows1252('\xa3ukasz;6a\r\n\r\nAnna;6b');
    expect(await readListFile(file(polish), { encoding: 'windows-1250', keepEmpty: true })).toMatchObject({
      rows: [['Łukasz', '6a'], [''], ['Anna', '6b']],
    });
    expect(await readListFile(file(polish), { encoding: 'windows-1252' })).toMatchObject({
      rows: [
        ['£ukasz', '6a'],
        ['Anna', '6b'],
      ],
    });
  });

  it('refuses what is made to fill memory before it is unpacked, and what no list is as wide as', async () => {
    const bomb = workbook('xlsx');
    const view = new DataView(bomb.buffer);
    for (let at = 0; at < bomb.length - 4; at += 1)
      if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 1_500_000_000, true);
    expect(unpackedBytes(bomb)).toBeGreaterThan(1e9);
    expect(await readListFile(file(bomb))).toEqual({ ok: false, problem: 'too-large' });
    expect(await readListFile(file('a,'.repeat(300)))).toEqual({ ok: false, problem: 'too-wide' });
    const wide = utils.book_new();
    utils.book_append_sheet(wide, utils.aoa_to_sheet([Array.from({ length: 300 }, (_, column) => column)]), 'Wide');
    expect(
      await readListFile(file(new Uint8Array(write(wide, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer))),
    ).toEqual({ ok: false, problem: 'too-wide' });
  });

  it.each(['xlsx', 'ods'] as const)('takes values of %s, never as a narrow column shows them', async (bookType) => {
    const book = utils.book_new();
    const sheet = utils.aoa_to_sheet([
      [2026000000001, 2026000000002, 123456789012345, 12.5, 0.1, 1e3],
      [2026000000003, 45000, 7, 1234567, true, -3],
    ]);
    Object.assign(sheet.B1 as object, { z: '0.00E+00' });
    Object.assign(sheet.B2 as object, { z: 'yyyy-mm-dd' });
    Object.assign(sheet.C2 as object, { z: '0000' });
    Object.assign(sheet.D2 as object, { z: '#,##0' });
    utils.book_append_sheet(book, sheet, 'Students');
    expect(
      await readListFile(file(new Uint8Array(write(book, { type: 'array', bookType }) as ArrayBuffer))),
    ).toMatchObject({
      rows: [
        ['2026000000001', '2026000000002', '123456789012345', '12.5', '0.1', '1000'],
        // The library keeps no formats where it writes ODS.
        ['2026000000003', ...(bookType === 'ods' ? ['45000', '7'] : ['2023-03-15', '0007']), '1234567', 'TRUE', '-3'],
      ],
    });
  });

  it.each(['xlsx', 'ods'] as const)(
    'reads the sheet of %s that is chosen, and names those that hold something',
    async (bookType) => {
      const book = utils.book_new();
      utils.book_append_sheet(book, utils.aoa_to_sheet([['About this file']]), 'Notes');
      utils.book_append_sheet(book, utils.aoa_to_sheet([]), 'Empty');
      utils.book_append_sheet(book, utils.aoa_to_sheet([['Id'], ['7']]), 'Students');
      const made = file(new Uint8Array(write(book, { type: 'array', bookType }) as ArrayBuffer));
      const sheets = ['Notes', 'Students'];
      expect(await readListFile(made)).toMatchObject({ sheet: 'Notes', sheets, rows: [['About this file']] });
      const chooseSheet = jest.fn(() => 1);
      expect(await readListFile(made, { chooseSheet })).toMatchObject({ sheet: 'Students', rows: [['Id'], ['7']] });
      expect(chooseSheet).toHaveBeenCalledWith([[['About this file']], [['Id'], ['7']]]);
      expect(await readListFile(made, { chooseSheet, sheet: 'Notes' })).toMatchObject({ sheet: 'Notes' });
      expect(await readListFile(file('a,b'))).toMatchObject({ sheet: null, sheets: [] });
    },
  );

  it('keeps leading zeros of ids, and takes what formulas show, never what they are', async () => {
    const book = utils.book_new();
    const sheet = utils.aoa_to_sheet([
      ['Id', 'Name'],
      ['00123', 'Ann Lee'],
    ]);
    sheet.A3 = { t: 'n', v: 7, z: '00000' };
    sheet.B3 = { t: 's', v: 'Bo Dam', f: 'HYPERLINK("http://a.example","Bo Dam")' };
    sheet['!ref'] = 'A1:B3';
    utils.book_append_sheet(book, sheet, 'Students');
    expect(
      await readListFile(file(new Uint8Array(write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer))),
    ).toMatchObject({
      rows: [
        ['Id', 'Name'],
        ['00123', 'Ann Lee'],
        ['00007', 'Bo Dam'],
      ],
    });
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
