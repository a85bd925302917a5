import fc from 'fast-check';
import Papa from 'papaparse';
import { safeCsv } from './safe-csv.js';

/** Without the mark. */
const cells = (csv: string): readonly (readonly string[])[] => Papa.parse<string[]>(csv.slice(1)).data;

describe('CSV for spreadsheets', () => {
  it.each(['=1+1', '+1', '-1', '@SUM(A1)', '  =1', '\t=1', '\u200b=1', '\uff1d1', '\uff0b1', '\uff0d1', '\uff20a'])(
    '%j is made text',
    (cell) => {
      expect(cells(safeCsv(['Head'], [[cell]]))[1]?.[0]).toBe(`'${cell}`);
    },
  );

  it('says that it is UTF-8, keeps figures and everything else as it is, line by line', () => {
    expect(
      safeCsv(
        ['A', 'B'],
        [
          ['x, y', -3],
          ['00123', 'plain'],
        ],
      ),
    ).toBe('\ufeffA,B\r\n"x, y",-3\r\n00123,plain\r\n');
  });

  it('is read back cell by cell, whatever they hold', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ unit: 'grapheme' }), { minLength: 2, maxLength: 2 }), {
          minLength: 1,
          maxLength: 8,
        }),
        (rows) => {
          const bare = (row: readonly string[]): readonly string[] => row.map((cell) => cell.replace(/^'/, ''));
          expect(
            cells(safeCsv(['A', 'B'], rows))
              .slice(1, -1)
              .map(bare),
          ).toEqual(rows.map(bare));
        },
      ),
    );
  });
});
