import { guessRosterColumns } from './columns.js';

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

describe('a list without heads', () => {
  const rolesOf = (...rows: string[][]): readonly string[] => guessRosterColumns(rows).roles;

  it('tells whole names by their comma, with a blank after it and without one', () => {
    expect(rolesOf(['7012', 'Dallow,Maren'], ['7013', 'Quill,Tobiah'])).toEqual(['id', 'name']);
    expect(rolesOf(['7012', 'Dallow, Maren'], ['7013', 'Quill, Tobiah'])).toEqual(['id', 'name']);
  });

  it('has the column with commas for the names, whatever words stand before it', () => {
    expect(rolesOf(['Harbour', 'Dallow,Maren'], ['Pier', 'Quill,Tobiah'])).toEqual(['none', 'name']);
    expect(rolesOf(['Harbour', '1,Maren'], ['Pier', '2,Tobiah'])).not.toEqual(['none', 'name']);
  });

  it('takes two columns of single words for given and family name, and one of several words for the whole', () => {
    expect(rolesOf(['Maren', 'Dallow'], ['Tobiah', 'Quill'])).toEqual(['given', 'family']);
    expect(rolesOf(['Maren Dallow', 'Harbour Street'], ['Tobiah Quill', 'Pier Road'])).toEqual(['name', 'none']);
    expect(rolesOf(['Maren'], ['Tobiah'])).toEqual(['name']);
  });

  it('has an id only where nearly all differ, and a class where they repeat', () => {
    const rows = Array.from({ length: 10 }, (_, at) => [
      `A-${1000 + at}`,
      at % 2 ? '6 Kestrel' : '6 Heron',
      `Name${'abcdefghij'[at]}`,
    ]);
    expect(rolesOf(...rows)).toEqual(['id', 'class', 'name']);
    expect(rolesOf(...rows.map(([, group, name]) => ['2026', group ?? '', name ?? '']))).not.toContain('id');
  });

  it('has "name" beside "first name" for the family’s, and no whole name beside both parts', () => {
    expect(rolesOf(['Name', 'First name'], ['Dallow', 'Maren'])).toEqual(['family', 'given']);
    expect(rolesOf(['Name', 'First name', 'Surname'], ['x', 'Maren', 'Dallow'])).toEqual(['none', 'given', 'family']);
    expect(rolesOf(['Class', 'Name', 'Class'], ['6', 'Maren', '7'])).toEqual(['class', 'name', 'none']);
  });
});
