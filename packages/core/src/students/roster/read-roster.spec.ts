import fc from 'fast-check';
import type { RosterLayout, RosterRole } from './roster-layout.js';
import { understandRoster } from '../understanding/understand-roster.js';
import { readRoster, rosterLimits } from './read-roster.js';

const layoutOf = (...roles: readonly RosterRole[]): RosterLayout => ({
  roles,
  headRows: [],
  leftOut: [],
  classRows: [],
});

describe('reading a roster', () => {
  const head = ['Id', 'Surname', 'First name', 'Class'];
  const read = (rows: readonly (readonly string[])[], sameId?: 'first' | 'last') =>
    readRoster([head, ...rows], { ...layoutOf('id', 'family', 'given', 'class'), headRows: [0] }, sameId);

  it('keeps leading zeros, and passes over empty lines', () => {
    const { students, problems } = read([
      ['007', 'Lee', 'Ann', '6'],
      ['', ' ', '', ''],
      ['0070', 'Moss', 'Di', '6'],
    ]);
    expect(
      students.map(({ row, schoolId, name, sortedBy, className }) => [row, schoolId, name, sortedBy, className]),
    ).toEqual([
      [2, '007', 'Ann Lee', 'Lee, Ann', '6'],
      [4, '0070', 'Di Moss', 'Moss, Di', '6'],
    ]);
    expect(problems).toEqual([]);
  });

  it('cuts classes and years, and names long ids and names by their beginning', () => {
    const columns = layoutOf('id', 'name', 'class', 'year');
    const { students } = readRoster([['1', 'Maren Dallow', 'k'.repeat(90), 'y'.repeat(90)]], columns);
    expect([students[0]?.className.length, students[0]?.year.length]).toEqual([60, 60]);
    const told = (row: readonly string[]) =>
      readRoster([row], columns).problems.map(({ reason, detail }) => [reason, detail]);
    expect(told(['7'.repeat(121), 'Maren Dallow', '', ''])).toEqual([['id-too-long', `${'7'.repeat(40)}…`]]);
    expect(told(['7', 'm'.repeat(121), '', ''])).toEqual([['name-too-long', `${'m'.repeat(40)}…`]]);
    expect(told(['7'.repeat(120), 'm'.repeat(120), '', ''])).toEqual([]);
    expect(readRoster([['1', 'Maren Dallow', '6', '2026']], columns).students[0]).toMatchObject({
      className: '6',
      year: '2026',
    });
  });

  it('says each problem with its row, and loses no good row because of it', () => {
    const { students, problems } = read([
      ['1', '', '', '6'],
      ['2', 'Lee', 'Ann', '6'],
      ['3', 'x'.repeat(130), '', '6'],
      ['9'.repeat(130), 'Moss', 'Di', '6'],
      ['4', '=HYPERLINK("x")', '', '6'],
      ['5', 'Ray', 'Cy', '6'],
    ]);
    expect(problems.map(({ row, reason, leftOut }) => [row, reason, leftOut])).toEqual([
      [2, 'no-name', true],
      [4, 'name-too-long', true],
      [5, 'id-too-long', true],
      [6, 'looks-like-formula', false],
    ]);
    expect(students.map(({ row }) => row)).toEqual([3, 6, 7]);
  });

  it('lets the first or the last of the same id count', () => {
    const rows = [
      ['12', 'Lee', 'Ann', '6'],
      ['12', 'Lee', 'Anna', '6'],
      ['13', 'Ray', 'Cy', '6'],
    ];
    expect(read(rows).students.map(({ name }) => name)).toEqual(['Ann Lee', 'Cy Ray']);
    expect(read(rows).problems).toEqual([{ row: 3, reason: 'same-id', detail: '12', other: 2, leftOut: true }]);
    expect(read(rows, 'last').students.map(({ name }) => name)).toEqual(['Anna Lee', 'Cy Ray']);
    expect(read(rows, 'last').problems).toMatchObject([{ row: 2, other: 3 }]);
  });

  it('keeps two of the same name apart, and names those whom no id tells apart', () => {
    const told = read([
      ['1', 'Lee', 'Ann', '6'],
      ['2', 'Lee', 'Ann', '6'],
    ]);
    expect([told.students.length, told.problems]).toEqual([2, []]);
    const { students, problems } = read([
      ['1', 'Lee', 'Ann', '6'],
      ['', 'Lee', 'Ann', '6'],
    ]);
    expect(students).toHaveLength(2);
    expect(problems).toEqual([{ row: 3, reason: 'same-name', detail: 'Ann Lee', other: 2, leftOut: false }]);
  });

  it('takes the class from the heading above, unless a column says it, and leaves out rows', () => {
    const rows = [['5 Wren'], ['Ann Lee'], ['5 Robin'], ['Bo Dam'], ['Total 2']];
    const layout = {
      ...layoutOf('name'),
      leftOut: [4],
      classRows: [
        { row: 0, className: '5 Wren' },
        { row: 2, className: '5 Robin' },
      ],
    };
    expect(readRoster(rows, layout).students.map(({ name, className }) => [name, className])).toEqual([
      ['Ann Lee', '5 Wren'],
      ['Bo Dam', '5 Robin'],
    ]);
    expect(readRoster([['Lee Ann', '6']], layoutOf('familyFirst', 'class')).students[0]).toMatchObject({
      name: 'Ann Lee',
      family: 'Lee',
      className: '6',
    });
  });

  it('never fails, and counts every row as a student, as empty or as a problem', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ unit: 'grapheme', maxLength: 140 }), { maxLength: 6 }), { maxLength: 20 }),
        (rows) => {
          const layout = understandRoster(rows);
          const { students, problems } = readRoster(rows, layout);
          const passedOver = new Set([
            ...layout.headRows,
            ...layout.leftOut,
            ...layout.classRows.map(({ row }) => row),
          ]);
          const leftOut = problems.filter((problem) => problem.leftOut).length;
          const empty = rows.filter(
            (row, index) => passedOver.has(index) || row.every((cell) => cell.trim() === ''),
          ).length;
          expect(students.length + leftOut + empty).toBe(rows.length);
          for (const { name } of students) expect(name.length).toBeLessThanOrEqual(rosterLimits.nameLength);
        },
      ),
    );
  });
});
