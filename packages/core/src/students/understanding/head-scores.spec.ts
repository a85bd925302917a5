import { scoreHead, slipsBetween } from './head-scores.js';
import type { RosterRole } from '../roster/roster-layout.js';
import { understandRoster } from './understand-roster.js';
import { rosterHeads } from './words-of-heads.js';

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

/** The role that a head says most for. */
const roleOf = (head: string): RosterRole => {
  const scores = Object.entries(scoreHead(head).scores).sort(([, one], [, other]) => other - one);
  return (scores[0]?.[0] ?? 'none') as RosterRole;
};

/** What may be in columns of a role, so that there is something below the heads. */
const cells: Readonly<Record<string, readonly string[]>> = {
  id: ['20417', '20422', '20431', '20440'],
  name: ['Ann Lee', 'Bo Dam', 'Cy Fen', 'Di Moss'],
  prefix: ['', 'van', '', 'de'],
  given: ['Ann', 'Bo', 'Cy', 'Di'],
  middle: ['Rose', 'Lee', 'Rose', 'May'],
  family: ['Lee', 'Dam', 'Fen', 'Moss'],
  class: ['6a', '6a', '6b', '6b'],
  year: ['6', '6', '7', '7'],
  none: ['', '', '', ''],
};

describe('heads of rosters', () => {
  it('are written in lower case, and each means what it is listed for', () => {
    const words = Object.entries(rosterHeads).flatMap(([role, list]) => list.map((word) => [role, word] as const));
    expect(words.filter(([, word]) => word.trim() !== word || word === '' || word !== word.toLowerCase())).toEqual([]);
    const meansNothing = words.filter(
      ([role, word]) => ((scoreHead(` ${word}: `).scores as Record<string, number>)[role] ?? 0) <= 0,
    );
    expect(meansNothing).toEqual([]);
  });

  it.each(heads)('%s', (_, head, roles) =>
    expect(
      understandRoster([head, ...[0, 1, 2, 3].map((row) => roles.map((role) => cells[role]?.[row] ?? ''))]).roles,
    ).toEqual(roles),
  );

  it.each<[string, RosterRole]>([
    ['Legal Surname', 'family'],
    ['Student First Name', 'given'],
    ['Adm No', 'id'],
    ['Roll No.', 'id'],
    ['Student #', 'id'],
    ['givenName', 'given'],
    ['last_name', 'family'],
    ['Frist name', 'given'],
    ['Surnmae', 'family'],
    ['Vornam', 'given'],
    ['Kl.', 'class'],
    ['Klassenbezeichnung', 'class'],
    ['Schülernr.', 'id'],
    ['Name of Student', 'name'],
    ['Élève', 'name'],
    ['NOM Prénom', 'familyFirst'],
    ['Příjmení a jméno', 'familyFirst'],
    ['Nombre y apellidos', 'name'],
    ['Name, Vorname', 'familyFirst'],
    ['Reg group', 'class'],
    ['Class code', 'class'],
    ['学生姓名', 'name'],
    ['在籍番号', 'id'],
    ['生徒氏名', 'name'],
  ])('%s is the %s', (head, role) => expect(roleOf(head)).toBe(role));

  it.each([
    ...[
      'Parent 1 Name',
      'Mother',
      'Klassenlehrer',
      'Teacher First Name',
      'Geburtsdatum',
      'DOB',
      'Date of birth',
      'Sex',
    ],
    ...['Home phone', 'Erziehungsberechtigte', 'PESEL', 'ふりがな', '保護者名', 'Second emergency contact'],
  ])('%s is about something else', (head) => expect(scoreHead(head)).toEqual({ scores: {}, known: true, other: true }));

  it.each(['S.No', 'Lfd. Nr.', 'STT', '№ п/п', '序号', 'Row'])('%s counts rows', (head) =>
    expect(scoreHead(head)).toEqual({ scores: {}, known: true, other: false }),
  );

  it('an unknown one says nothing', () =>
    expect(scoreHead('Zeppelin')).toEqual({ scores: {}, known: false, other: false }));

  it('slips are wrong, missing and exchanged letters', () => {
    expect(slipsBetween('surname', 'surname', 2)).toBe(0);
    expect(slipsBetween('surnmae', 'surname', 2)).toBe(1);
    expect(slipsBetween('suname', 'surname', 2)).toBe(1);
    expect(slipsBetween('surrname', 'surname', 2)).toBe(1);
    expect(slipsBetween('sirnamw', 'surname', 2)).toBe(2);
    expect(slipsBetween('prenom', 'surname', 1)).toBe(2);
  });
});
