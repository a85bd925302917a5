import { guessRosterColumns, rosterHeads } from './columns.js';
import { splitName } from './name.js';

/** First rows of lists as offices of many countries export them, and what each column holds. */
const heads: readonly (readonly [string, readonly string[], readonly string[]])[] = [
  [
    'English',
    ['Student ID', 'Surname', 'Forename', 'Tutor group', 'Year group'],
    ['id', 'family', 'given', 'class', 'year'],
  ],
  [
    'German',
    ['Nachname', 'Vorname', 'Klasse', 'Jahrgang', 'Namenszusatz'],
    ['family', 'given', 'class', 'year', 'prefix'],
  ],
  ['German, another', ['Familienname', 'Rufname', 'Stufe', 'Zweiter Vorname'], ['family', 'given', 'year', 'middle']],
  [
    'French',
    ['Nom de famille', 'Prénom', 'Classe', 'Niveau', 'Identifiant'],
    ['family', 'given', 'class', 'year', 'id'],
  ],
  ['Spanish', ['Matrícula', 'Apellidos', 'Nombre', 'Clase', 'Curso'], ['id', 'family', 'given', 'class', 'year']],
  ['Italian', ['Codice', 'Cognome', 'Nome', 'Classe', 'Anno'], ['id', 'family', 'given', 'class', 'year']],
  ['Portuguese', ['Apelido', 'Nome', 'Turma', 'Ano'], ['family', 'given', 'class', 'year']],
  [
    'Dutch',
    ['Leerlingnummer', 'Roepnaam', 'Voorvoegsel', 'Achternaam', 'Klas', 'Leerjaar'],
    ['id', 'given', 'prefix', 'family', 'class', 'year'],
  ],
  ['Polish', ['Nazwisko', 'Imię', 'Klasa', 'Rocznik'], ['family', 'given', 'class', 'year']],
  [
    'Swedish',
    ['Efternamn', 'Förnamn', 'Klass', 'Årskurs', 'Mellanamn'],
    ['family', 'given', 'class', 'year', 'middle'],
  ],
  ['Norwegian', ['Etternavn', 'Fornavn', 'Trinn', 'Mellomnavn'], ['family', 'given', 'year', 'middle']],
  ['Russian', ['Фамилия', 'Имя', 'Отчество', 'Класс', 'Год'], ['family', 'given', 'middle', 'class', 'year']],
  ['Greek', ['Επώνυμο', 'Όνομα', 'Τάξη', 'Έτος'], ['family', 'given', 'class', 'year']],
  ['Arabic', ['اسم العائلة', 'الاسم الأول', 'الصف', 'السنة'], ['family', 'given', 'class', 'year']],
  ['Hebrew', ['שם משפחה', 'שם פרטי', 'כיתה', 'שכבה'], ['family', 'given', 'class', 'year']],
  ['Chinese', ['学号', '姓', '名', '班级', '年级'], ['id', 'family', 'given', 'class', 'year']],
  ['Japanese', ['学籍番号', '氏名', 'クラス', '学年'], ['id', 'name', 'class', 'year']],
  ['Korean', ['학번', '이름', '반', '학년'], ['id', 'name', 'class', 'year']],
  ['Vietnamese', ['Mã số', 'Họ và tên', 'Lớp', 'Khối'], ['id', 'name', 'class', 'year']],
  ['Vietnamese, in parts', ['Họ', 'Tên đệm', 'Tên', 'Lớp'], ['family', 'middle', 'given', 'class']],
  ['Turkish', ['Öğrenci no', 'Ad', 'Soyad', 'Sınıf', 'Yıl'], ['id', 'given', 'family', 'class', 'year']],
  ['Hindi', ['नाम', 'कक्षा'], ['name', 'class']],
];

describe('heads of rosters', () => {
  it('each say one thing, however they are written, and none is empty', () => {
    const words = Object.entries(rosterHeads).flatMap(([role, list]) => list.map((word) => [role, word] as const));
    expect(words.filter(([, word]) => word.trim() !== word || word === '' || word !== word.toLowerCase())).toEqual([]);
    expect(new Set(words.map(([, word]) => word)).size).toBe(words.length);
    for (const [role, word] of words) {
      // "Name" beside nothing else is the whole name; every other head alone is what it says.
      const { roles, header } = guessRosterColumns([[` ${word.toUpperCase().toLowerCase()}: `], ['x']]);
      expect([word, roles, header]).toEqual([word, [role], true]);
    }
  });

  it.each(heads)('%s', (_, head, roles) =>
    expect(guessRosterColumns([head, head.map(() => 'x')]).roles).toEqual(roles),
  );

  it('a column without a head holds nothing that is known', () =>
    expect(
      guessRosterColumns([
        ['Surname', '', ' ', '*'],
        ['a', 'b', 'c', 'd'],
      ]).roles,
    ).toEqual(['family', 'none', 'none', 'none']));
});

const ids = ['A-1001', 'A-1002', 'A-1003', 'A-1004'];

describe('columns without a head', () => {
  it('are an id only where nearly every cell is one of its own', () => {
    expect(guessRosterColumns(ids.map((id) => [id, 'Ann', 'Lee'])).roles).toEqual(['id', 'given', 'family']);
    expect(guessRosterColumns(ids.map(() => ['A-1001', 'Ann', 'Lee'])).roles[0]).not.toBe('id');
    expect(guessRosterColumns(ids.map((_, index) => [`A${index}`, 'Ann', 'Lee'])).roles[0]).not.toBe('id');
  });

  it('are a class where few say the same, up to 14 characters, and in a short list anyway', () => {
    const rows = ids.map((id, index) => [id, index < 2 ? 'Year 6 Kestrel' : 'Year 6 Herons_', 'Ann', 'Lee']);
    expect(guessRosterColumns(rows).roles).toEqual(['id', 'class', 'given', 'family']);
    expect(guessRosterColumns(rows.map(([id, name]) => [id ?? '', `${name} x`])).roles).toEqual(['id', 'none']);
    expect(
      guessRosterColumns([
        ['6a', 'Ann', 'Lee'],
        ['6b', 'Bo', 'Ek'],
      ]).roles,
    ).toEqual(['class', 'given', 'family']);
  });

  it('are looked at as far down as is needed, blanks and all', () => {
    const rows = ids.map((id) => [` ${id} `, ' Lee, Ann ']);
    expect(guessRosterColumns(rows).roles).toEqual(['id', 'name']);
  });
});

describe('particles', () => {
  it.each(
    'van von der den de del della di da do dos das du la le el al bin bint ibn ben abu ter ten te zu zur zum ó ní nic mac af av san st st. ’t y e'
      .replace('’', "'")
      .split(' '),
  )('%s belongs to the family name', (particle) =>
    expect(splitName(`Ana Maria ${particle} Silva`)).toMatchObject({ middle: 'Maria', family: `${particle} Silva` }),
  );

  it('other words do not', () =>
    expect(splitName('Ana Maria Lee Silva')).toEqual({
      prefix: '',
      given: 'Ana',
      middle: 'Maria Lee',
      family: 'Silva',
    }));
});
