import fc from 'fast-check';
import { slugAlphabet } from '../../code/short-link/check-character.js';
import { planSymbol } from '../../code/symbol/plan.js';
import { cardPayload, cardTokenNumbers, cardTokenOf, readCardText } from './card-code.js';
import { guessRosterColumns } from './columns.js';
import { compareRoster, type Known } from './compare-roster.js';
import { nameKey, sortName, splitName, wholeName } from './name.js';
import { readRoster, rosterLimits, type RosterStudent } from './read-roster.js';

describe('columns of a roster', () => {
  it.each<[string, readonly string[], readonly string[]]>([
    ['English', ['Student ID', 'Surname', 'First name', 'Class'], ['id', 'family', 'given', 'class']],
    ['one name', ['No.', 'Name', 'Form'], ['id', 'name', 'class']],
    ['a name beside a first name is the family’s', ['Name', 'Vorname', 'Klasse'], ['family', 'given', 'class']],
    [
      'German',
      ['Schülernummer', 'Nachname', 'Vorname', 'Klasse', 'Jahrgang'],
      ['id', 'family', 'given', 'class', 'year'],
    ],
    ['French', ['Matricule', 'NOM', 'Prénom', 'Classe'], ['id', 'family', 'given', 'class']],
    [
      'Dutch',
      ['Leerlingnummer', 'Voornaam', 'Tussenvoegsel', 'Achternaam', 'Klas'],
      ['id', 'given', 'prefix', 'family', 'class'],
    ],
    ['Polish', ['Numer', 'Imię', 'Nazwisko', 'Klasa'], ['id', 'given', 'family', 'class']],
    ['Russian', ['№', 'Фамилия', 'Имя', 'Отчество', 'Класс'], ['none', 'family', 'given', 'middle', 'class']],
    ['Greek', ['Αριθμός', 'Επώνυμο', 'Όνομα', 'Τάξη'], ['id', 'family', 'given', 'class']],
    ['Arabic', ['رقم', 'الاسم', 'الصف'], ['id', 'name', 'class']],
    ['Hebrew', ['שם פרטי', 'שם משפחה', 'כיתה'], ['given', 'family', 'class']],
    ['Chinese', ['学号', '姓名', '班级'], ['id', 'name', 'class']],
    ['Japanese', ['番号', '氏名', 'クラス'], ['id', 'name', 'class']],
    ['Korean', ['학번', '이름', '반'], ['id', 'name', 'class']],
    [
      'with stars, blanks and more columns than are known',
      ['* Surname ', 'First_Name', 'House', 'Class:'],
      ['family', 'given', 'none', 'class'],
    ],
  ])('%s: told by their heads', (_, heads, roles) =>
    expect(guessRosterColumns([heads, heads.map(() => 'x')])).toEqual({ roles, header: true }),
  );

  it('a role is held once', () => {
    expect(
      guessRosterColumns([
        ['Name', 'Full name', 'Class', 'Group'],
        ['Ann Lee', 'Ann Lee', '6', '6'],
      ]).roles,
    ).toEqual(['name', 'none', 'class', 'none']);
  });

  it.each<[string, readonly (readonly string[])[], readonly string[]]>([
    [
      'id, whole name, class',
      [
        ['00123', 'Ann Lee', '6 Kestrel'],
        ['00124', 'Bo van Dam', '6 Kestrel'],
        ['00125', 'Cy', '6 Heron'],
        ['00126', 'Di Moss', '6 Heron'],
      ],
      ['id', 'name', 'class'],
    ],
    [
      'surname, first',
      [
        ['Lee, Ann', '5a'],
        ['Moss, Di', '5b'],
        ['Dam, Bo', '5a'],
        ['Ray, Cy', '5a'],
      ],
      ['name', 'class'],
    ],
    [
      'first and last',
      [
        ['Ann', 'Lee'],
        ['Bo', 'Dam'],
      ],
      ['given', 'family'],
    ],
    ['names alone', [['Ann Lee'], ['Bo Dam']], ['name']],
  ])('%s: told by what stands in them', (_, rows, roles) =>
    expect(guessRosterColumns(rows)).toEqual({ roles, header: false }),
  );
});

describe('names', () => {
  it.each([
    ['Ann Lee', 'Ann', '', 'Lee', 'Lee, Ann'],
    ['Lee, Ann', 'Ann', '', 'Lee', 'Lee, Ann'],
    ['de la Cruz, Ana María', 'Ana', 'María', 'de la Cruz', 'de la Cruz, Ana, María'],
    ['Jan van der Berg', 'Jan', '', 'van der Berg', 'van der Berg, Jan'],
    ['J. R. Moss', 'J.', 'R.', 'Moss', 'Moss, J., R.'],
    ['Suharto', 'Suharto', '', '', 'Suharto'],
    ['山田太郎', '山田太郎', '', '', '山田太郎'],
    ['Siobhán Ní Dhomhnaill', 'Siobhán', '', 'Ní Dhomhnaill', 'Ní Dhomhnaill, Siobhán'],
    ['  O’Connor-Smith ,  Mary  Jane ', 'Mary', 'Jane', 'O’Connor-Smith', 'O’Connor-Smith, Mary, Jane'],
    ['Omar bin Said', 'Omar', '', 'bin Said', 'bin Said, Omar'],
  ])('%s', (whole, given, middle, family, sorted) => {
    expect(splitName(whole)).toEqual({ prefix: '', given, middle, family });
    expect(sortName(splitName(whole))).toBe(sorted);
  });

  it('are whole again as people say them', () => {
    expect(wholeName({ prefix: 'van der', given: 'Jan', middle: 'W.', family: 'Berg' })).toBe('Jan W. van der Berg');
    expect(wholeName({ prefix: '', given: '太郎', middle: '', family: '山田' })).toBe('山田太郎');
    expect(wholeName({ prefix: '', given: '민수', middle: '', family: '김' })).toBe('김민수');
    expect(wholeName({ prefix: '', given: 'Cher', middle: '', family: '' })).toBe('Cher');
  });

  it('lose nothing but order and blanks, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.string({
            unit: fc.constantFrom('a', 'É', 'ß', '-', '’', '太', 'ム', 'م', 'ש'),
            minLength: 1,
            maxLength: 8,
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (words) => {
          const letters = (text: string): string => [...text.normalize('NFC').replace(/\s/gu, '')].sort().join('');
          expect(letters(wholeName(splitName(words.join(' '))))).toBe(letters(words.join('')));
        },
      ),
    );
  });

  it('are the same to the eye without marks, case and hyphens', () => {
    expect(nameKey('Núñez-Ó Briain')).toBe(nameKey('nunez o briain'));
    expect(nameKey('Lee')).not.toBe(nameKey('Leo'));
  });
});

describe('reading a roster', () => {
  const head = ['Id', 'Surname', 'First name', 'Class'];
  const read = (rows: readonly (readonly string[])[], sameId?: 'first' | 'last') =>
    readRoster([head, ...rows], guessRosterColumns([head]), sameId);

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

  it('says each problem with its row, and loses no good row because of it', () => {
    const { students, problems } = read([
      ['1', '', '', '6'],
      ['2', 'Lee', 'Ann', '6'],
      ['3', 'x'.repeat(130), '', '6'],
      ['9'.repeat(50), 'Moss', 'Di', '6'],
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

  it('keeps two of the same name apart, and names both', () => {
    const { students, problems } = read([
      ['1', 'Lee', 'Ann', '6'],
      ['2', 'Lee', 'Ann', '6'],
    ]);
    expect(students).toHaveLength(2);
    expect(problems).toEqual([{ row: 3, reason: 'same-name', detail: 'Ann Lee', other: 2, leftOut: false }]);
  });

  it('never fails, and counts every row as a student, as empty or as a problem', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ unit: 'grapheme', maxLength: 140 }), { maxLength: 6 }), { maxLength: 20 }),
        (rows) => {
          const columns = guessRosterColumns(rows);
          const { students, problems } = readRoster(rows, columns);
          const leftOut = problems.filter((problem) => problem.leftOut).length;
          const empty = rows.filter(
            (row, index) => (columns.header && index === 0) || row.every((cell) => cell.trim() === ''),
          ).length;
          expect(students.length + leftOut + empty).toBe(rows.length);
          for (const { name } of students) expect(name.length).toBeLessThanOrEqual(rosterLimits.nameLength);
        },
      ),
    );
  });
});

describe('another import', () => {
  const student = (name: string, schoolId: string | null, className = '6', year = ''): RosterStudent => ({
    ...splitName(name),
    schoolId,
    name,
    sortedBy: sortName(splitName(name)),
    className,
    year,
  });
  const known = (id: number, name: string, schoolId: string | null, className = '6', left = false): Known<number> => ({
    ...student(name, schoolId, className),
    id,
    left,
  });

  it('says who is new, changed, the same, left out and back', () => {
    const before = [
      known(1, 'Ann Lee', '01'),
      known(2, 'Bo Dam', '02'),
      known(3, 'Cy Ray', '03'),
      known(4, 'Di Moss', '04', '6', true),
      known(5, 'Eve Fox', '05', '6', true),
    ];
    const { added, changed, same, leftOut } = compareRoster(before, [
      student('Ann Lee', '01'),
      student('Bo van Dam', '02', '7'),
      student('Di Moss', '04'),
      student('New One', '09'),
    ]);
    expect(added.map(({ name }) => name)).toEqual(['New One']);
    expect(changed.map(({ id, parts }) => [id, parts])).toEqual([
      [2, ['name', 'className']],
      [4, []],
    ]);
    expect(same).toBe(1);
    expect(leftOut.map(({ id }) => id)).toEqual([3]);
  });

  it('finds those without an id by name and class, then by name, and gives them one', () => {
    const before = [known(1, 'Ann Lee', null), known(2, 'Bo Dam', null, '6'), known(3, 'Bo Dam', null, '7')];
    const { added, changed, leftOut } = compareRoster(before, [
      student('ann lee', '11', '8'),
      student('Bo Dam', null, '7'),
    ]);
    expect(added).toEqual([]);
    expect(changed.map(({ id, parts }) => [id, parts])).toEqual([[1, ['schoolId', 'name', 'className']]]);
    expect(leftOut.map(({ id }) => id)).toEqual([2]);
  });

  it('takes nobody with another id for the same, and guesses nobody among several', () => {
    expect(compareRoster([known(1, 'Ann Lee', '01')], [student('Ann Lee', '02')])).toMatchObject({
      added: [{ schoolId: '02' }],
      changed: [],
      leftOut: [{ id: 1 }],
    });
    const twins = compareRoster(
      [known(1, 'Ann Lee', null, '5'), known(2, 'Ann Lee', null, '6')],
      [student('Ann Lee', null, '7')],
    );
    expect([twins.added.length, twins.leftOut.length]).toEqual([1, 2]);
  });

  it('with what is known already changes nothing, in any order', () => {
    const anyStudent = fc.tuple(
      fc.constantFrom('Ann Lee', 'Bo Dam', 'Cy Ray', '山田太郎'),
      fc.option(fc.constantFrom('1', '2', '3', '4', '5'), { nil: null }),
      fc.constantFrom('6', '7'),
    );
    fc.assert(
      fc.property(
        fc.uniqueArray(anyStudent, { selector: ([name, id, className]) => id ?? `${name} ${className}`, maxLength: 8 }),
        (all) => {
          const before = all.map(([name, id, className], index) => known(index, name, id, className));
          const { added, changed, leftOut, same } = compareRoster(
            before,
            [...all].reverse().map(([name, id, className]) => student(name, id, className)),
          );
          expect([added.length, changed.length, leftOut.length, same]).toEqual([0, 0, 0, all.length]);
        },
      ),
    );
  });
});

describe('a card’s code', () => {
  const numbers = fc.array(fc.nat(1_000_000), { minLength: cardTokenNumbers, maxLength: cardTokenNumbers });

  it('is read back, however it is typed, and fits the smallest symbol with a quarter of it to repair', () => {
    fc.assert(
      fc.property(numbers, (random) => {
        const token = cardTokenOf(random);
        expect(readCardText(token)).toEqual({ kind: 'token', token });
        expect(readCardText(` ${token.slice(0, 3).toLowerCase()}-${token.slice(3, 9)} ${token.slice(9)}`)).toEqual({
          kind: 'token',
          token,
        });
      }),
    );
    const plan = planSymbol(cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index)));
    expect(plan).toMatchObject({ ok: true, value: { version: 1, level: 'Q' } });
  });

  it('is never taken for another one by a single wrong character or two neighbours that changed places', () => {
    fc.assert(
      fc.property(numbers, fc.integer({ min: 3, max: 15 }), fc.integer({ min: 1, max: 22 }), (random, at, step) => {
        const token = cardTokenOf(random);
        const wrong = slugAlphabet[(slugAlphabet.indexOf(token[at] ?? '') + step) % slugAlphabet.length] ?? '';
        expect(readCardText(token.slice(0, at) + wrong + token.slice(at + 1))).toEqual({ kind: 'misread' });
        if (at < 15 && token[at] !== token[at + 1])
          expect(
            readCardText(token.slice(0, at) + (token[at + 1] ?? '') + (token[at] ?? '') + token.slice(at + 2)),
          ).toEqual({ kind: 'misread' });
      }),
    );
  });

  it('says in clear what the school chose, and whatever else is read is text', () => {
    const student = { schoolId: '00123', name: 'Ann Lee', token: 'HPCX' };
    expect([
      cardPayload('token', student),
      cardPayload('id', student),
      cardPayload('id-and-name', student),
      cardPayload('id-and-name', { ...student, schoolId: '' }),
    ]).toEqual(['HPCX', '00123', '00123 Ann Lee', 'Ann Lee']);
    expect(readCardText(' 00123 ')).toEqual({ kind: 'text', text: '00123' });
    expect(readCardText('https://a.example')).toEqual({ kind: 'text', text: 'https://a.example' });
    expect(() => cardTokenOf([1])).toThrow(RangeError);
  });
});
