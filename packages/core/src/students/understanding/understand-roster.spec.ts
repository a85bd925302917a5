import fc from 'fast-check';
import { readRoster } from '../roster/read-roster.js';
import { likeliestRoster, understandRoster } from './understand-roster.js';

const rolesOf = (...rows: string[][]): readonly string[] => understandRoster(rows).roles;
const students = (rows: readonly (readonly string[])[]): readonly string[] =>
  readRoster(rows, understandRoster(rows)).students.map(({ schoolId, name, className }) =>
    [schoolId ?? '', name, className].join(' | '),
  );

const given = ['Anna', 'Ben', 'Clara', 'David', 'Emma', 'Felix', 'Greta', 'Hugo', 'Ida', 'Jonas'];
const family = [
  'Ashdown',
  'Barker',
  'Coldwell',
  'Drayton',
  'Fairley',
  'Gorse',
  'Holloway',
  'Kershaw',
  'Lockwood',
  'Prior',
];

describe('columns with a head', () => {
  it('a role is held once, by the column that has more of it', () => {
    expect(
      rolesOf(['Legal Surname', 'Preferred Forename', 'Legal Forename'], ['Lee', 'Annie', 'Ann'], ['Dam', 'Bo', 'Bo']),
    ).toEqual(['family', 'none', 'given']);
    expect(rolesOf(['Class', 'Name', 'Class'], ['6a', 'Maren Dallow', '6a'], ['6b', 'Tobiah Quill', '6b'])).toEqual([
      'class',
      'name',
      'none',
    ]);
  });

  it('have "name" beside "first name" for the family’s, and no whole name beside both parts', () => {
    expect(rolesOf(['Name', 'First name'], ['Dallow', 'Maren'], ['Quill', 'Tobiah'])).toEqual(['family', 'given']);
    expect(
      rolesOf(
        ['Name', 'First name', 'Surname'],
        ['Maren Dallow', 'Maren', 'Dallow'],
        ['Tobiah Quill', 'Tobiah', 'Quill'],
      ),
    ).toEqual(['none', 'given', 'family']);
  });

  it('decide by what is in the column where a head may mean two things', () => {
    const reg = (cells: readonly string[]): readonly string[] =>
      rolesOf(
        ['Reg', 'Surname', 'Forename'],
        ...cells.map((cell, index) => [
          cell,
          ['Lee', 'Dam', 'Fen', 'Moss', 'Ray', 'Ek'][index] ?? '',
          ['Ann', 'Ben', 'Cy', 'Di', 'Eva', 'Max'][index] ?? '',
        ]),
      );
    expect(reg(['7a', '7a', '7a', '7b', '7b', '7b'])[0]).toBe('class');
    expect(
      rolesOf(['Form', 'Stream', 'Name'], ['Form 2', 'East', 'Asha Okafor'], ['Form 2', 'West', 'Kofi Eze']),
    ).toEqual(['year', 'class', 'name']);
  });

  it('leave out people beside the students, and numbers of rows', () => {
    expect(
      rolesOf(
        ['No', 'Student', 'Father’s name', 'Class teacher', 'DOB'],
        ['1', 'Ann Lee', 'Tom Lee', 'M. Dallow', '01/02/2015'],
        ['2', 'Bo Dam', 'Jan Dam', 'M. Dallow', '03/02/2015'],
        ['3', 'Cy Fen', 'Max Fen', 'T. Quill', '04/02/2015'],
      ),
    ).toEqual(['none', 'name', 'none', 'none', 'none']);
  });

  it('have ids where a head says so, with leading zeros and with one that is said twice', () => {
    const ids = ['0001', '0002', '0003', '0003', '0004'];
    const rows = ids.map((id, index) => [id, family[index] ?? '', given[index] ?? '']);
    expect(rolesOf(['Nummer', 'Nachname', 'Vorname'], ...rows)).toEqual(['id', 'family', 'given']);
  });

  it('take e-mail addresses for ids where there are no others', () => {
    const rows = ['ann', 'bo', 'cy', 'di'].map((name, index) => [
      name,
      'Lee',
      `${name}@a.example`,
      String(20410 + index * 3),
    ]);
    expect(rolesOf(['First', 'Last', 'E-mail', 'Student id'], ...rows)[3]).toBe('id');
    expect(rolesOf(['First', 'Last', 'E-mail'], ...rows.map((row) => row.slice(0, 3)))).toEqual([
      'given',
      'family',
      'id',
    ]);
  });
});

describe('columns without a head', () => {
  it('tell given and family names by their values, whichever comes first', () => {
    const rows = family.map((name, index) => [name, given[(index * 3) % 10] ?? '']);
    expect(rolesOf(...rows)).toEqual(['family', 'given']);
    expect(rolesOf(...rows.map(([one = '', other = '']) => [other, one]))).toEqual(['given', 'family']);
  });

  it('tell whole names by their comma, with a blank after it and without one', () => {
    expect(rolesOf(['7012', 'Dallow,Maren'], ['7015', 'Quill,Tobiah'])).toEqual(['id', 'name']);
    expect(rolesOf(['7012', 'Dallow, Maren'], ['7015', 'Quill, Tobiah'])).toEqual(['id', 'name']);
    expect(rolesOf(['Maren Dallow'], ['Tobiah Quill'])).toEqual(['name']);
  });

  it('tell the family name first by its capitals', () => {
    const rows = family.map((name, index) => [`${name.toUpperCase()} ${given[index]}`, '6a']);
    expect(rolesOf(...rows)).toEqual(['familyFirst', 'class']);
    expect(students(rows)[0]).toBe(' | Anna ASHDOWN | 6a');
  });

  it('have an id only where all differ and do not count, and a class where they repeat', () => {
    const rows = given.map((name, index) => [
      `A-${1000 + index * 7}`,
      index < 5 ? '6 Kestrel' : '6 Heron',
      `${name} ${family[index]}`,
    ]);
    expect(rolesOf(...rows)).toEqual(['id', 'class', 'name']);
    expect(rolesOf(...rows.map(([, group = '', name = '']) => ['2026', group, name]))).not.toContain('id');
    expect(rolesOf(...rows.map(([, group = '', name = ''], index) => [String(index + 1), group, name]))).not.toContain(
      'id',
    );
  });
});

const body = family
  .slice(0, 6)
  .map((name, index) => [String(20410 + index * 3), name, given[index] ?? '', index < 3 ? '6a' : '6b']);
const head = ['Id', 'Surname', 'First name', 'Class'];

describe('rows', () => {
  it('have their heads below titles, and are told when they have none', () => {
    expect(
      understandRoster([['Fernhollow School'], ['Class lists, autumn 2026'], [''], head, ...body]).headRows,
    ).toEqual([3]);
    expect(understandRoster([head, ...body]).headRows).toEqual([0]);
    expect(understandRoster(body).headRows).toEqual([]);
  });

  it('join two rows of heads', () => {
    const { roles, headRows } = understandRoster([
      ['Student', '', 'Number', 'Tutor'],
      ['Last name', 'First name', '', 'group'],
      ...body.map(([id = '', last = '', first = '', group = '']) => [last, first, id, group]),
    ]);
    expect([headRows, roles]).toEqual([
      [0, 1],
      ['family', 'given', 'id', 'class'],
    ]);
  });

  it('give the class where headings between blocks or the title say it', () => {
    const [one = [], two = [], three = [], four = []] = body.map(([id = '', last = '', first = '']) => [
      id,
      last,
      first,
    ]);
    const heads = head.slice(0, 3);
    expect(students([heads, ['Class 5 Wren'], one, two, [''], ['5 Robin (2)'], three, four])).toEqual([
      '20410 | Anna Ashdown | 5 Wren',
      '20413 | Ben Barker | 5 Wren',
      '20416 | Clara Coldwell | 5 Robin',
      '20419 | David Drayton | 5 Robin',
    ]);
    expect(students([['Class 5 Wren'], heads, one, two, ['Class: 5 Robin'], heads, three, four])[3]).toBe(
      '20419 | David Drayton | 5 Robin',
    );
    expect(students([['Klassenliste 5b'], ['Schuljahr 2026/27'], heads, one, two])[0]).toBe(
      '20410 | Anna Ashdown | 5b',
    );
  });

  it('leave out totals and what is printed below, and nobody else', () => {
    expect(students([head, ...body, [''], ['Total', '6', '', ''], ['Printed on 12/09/2026']])).toHaveLength(6);
    expect(
      students([
        ['Name', 'Class'],
        ['Ann Total', '6a'],
        ['Max Summe', '6a'],
        ['Page Turner', '6b'],
      ]),
    ).toHaveLength(3);
    // Only the name is filled in: new, and no heading.
    expect(students([head, ...body, ['', 'Moss', 'Di', '']])).toHaveLength(7);
    expect(
      students([
        ['Name', 'Class', 'Phone', 'Town'],
        ['Ann Lee', '6a', '01632 960001', 'Ely'],
        ['Bo Dam', '6a', '01632 960002', 'Ely'],
        ['Cy Fen', '', '', ''],
      ]),
    ).toHaveLength(3);
  });

  it('take the row for the heads that somebody says', () => {
    expect(understandRoster([...body.slice(0, 1), head, ...body.slice(1)], { headRow: 1 })).toMatchObject({
      headRows: [1],
      leftOut: [0],
    });
    expect(understandRoster([head, ...body], { headRow: null }).headRows).toEqual([]);
  });
});

describe('the sheet of a workbook', () => {
  const counts = [
    ['Class', 'Students'],
    ['6a', '24'],
    ['6b', '25'],
  ];

  it('is the one that is most like a roster, and the first of several that are', () => {
    expect(likeliestRoster([[['About this file'], ['Made by the office']], counts, [head, ...body]])).toBe(2);
    expect(
      likeliestRoster([
        [head, ...body],
        [head, ...body.slice(0, 4)],
      ]),
    ).toBe(0);
    expect(likeliestRoster([counts])).toBe(0);
  });
});

describe('how sure it is', () => {
  it('is high where head and cells agree, and low where another role fits as well', () => {
    expect(Math.min(...understandRoster([head, ...body]).certainty)).toBeGreaterThan(0.95);
    const odd = understandRoster([
      ['Mist', 'Fog'],
      ['Quo', 'Zed'],
      ['Wyx', 'Yak'],
    ]);
    expect(Math.min(...odd.certainty)).toBeLessThan(0.8);
  });

  it('is told between 0 and 1 for each column, of whatever table, and quickly for wide ones', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ unit: 'grapheme', maxLength: 30 }), { maxLength: 8 }), { maxLength: 12 }),
        (rows) => {
          const { roles, certainty, headRows, leftOut, classRows } = understandRoster(rows);
          expect(certainty).toHaveLength(roles.length);
          for (const one of certainty) expect(one >= 0 && one <= 1).toBe(true);
          for (const index of [...headRows, ...leftOut, ...classRows.map(({ row }) => row)])
            expect(index < rows.length).toBe(true);
          const held = roles.filter((role) => role !== 'none');
          expect(new Set(held).size).toBe(held.length);
        },
      ),
    );
  });
});
