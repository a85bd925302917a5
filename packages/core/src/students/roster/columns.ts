/**
 * Which column of a table holds what of a student: told by its head in many languages, and where there is none by what is in it.
 * A wrong guess is fixed by hand; a right one saves a teacher the whole dialog.
 */
export const rosterRoles = ['id', 'name', 'prefix', 'given', 'middle', 'family', 'class', 'year', 'none'] as const;
/** What a column holds. */
export type RosterRole = (typeof rosterRoles)[number];

/** Cells of a table, row by row. */
export type RosterRows = readonly (readonly string[])[];

/** What each column holds, and whether the first row says so. */
export interface RosterColumns {
  /** One for each column. A role but `none` is held by one column at most. */
  readonly roles: readonly RosterRole[];
  /** The first row names the columns. */
  readonly header: boolean;
}

/** Whole heads in lower case, by what they mean. */
export const rosterHeads: Readonly<Record<Exclude<RosterRole, 'none'>, readonly string[]>> = {
  id: [
    'id',
    'student id',
    'student no',
    'student number',
    'pupil id',
    'admission no',
    'admission number',
    'card no',
    'number',
    'no',
    'nr',
    'nummer',
    'schulernummer',
    'schuler-id',
    'matricule',
    'numero',
    'numero eleve',
    'no eleve',
    'identifiant',
    'matricula',
    'codigo',
    'codice',
    'leerlingnummer',
    'numer',
    'numer ucznia',
    'elevnummer',
    'elevnr',
    'номер',
    'αριθμος',
    'رقم',
    'מספר',
    '学号',
    '番号',
    '学籍番号',
    '학번',
    'ma so',
    'ogrenci no',
  ],
  name: [
    'name',
    'full name',
    'student',
    'student name',
    'pupil',
    'pupil name',
    'schuler',
    'nom complet',
    'eleve',
    'nombre completo',
    'alumno',
    'alumna',
    'nome completo',
    'aluno',
    'leerling',
    'naam',
    'uczen',
    'elev',
    'namn',
    'имя и фамилия',
    'фио',
    'ученик',
    'ονοματεπωνυμο',
    'الاسم',
    'שם מלא',
    'שם',
    '姓名',
    '氏名',
    '이름',
    'ho va ten',
    'ho ten',
    'ad soyad',
    'नाम',
  ],
  prefix: ['prefix', 'title', 'tussenvoegsel', 'tussenvoegsels', 'titel', 'anrede', 'namenszusatz', 'voorvoegsel'],
  given: [
    'given name',
    'given names',
    'first name',
    'first names',
    'firstname',
    'forename',
    'forenames',
    'vorname',
    'vornamen',
    'rufname',
    'prenom',
    'prenoms',
    'nombre',
    'nombres',
    'nome',
    'roepnaam',
    'voornaam',
    'imie',
    'fornamn',
    'fornavn',
    'имя',
    'ονομα',
    'الاسم الأول',
    'שם פרטי',
    '名',
    'ten',
    'ad',
  ],
  middle: [
    'middle name',
    'middle names',
    'middle initial',
    'second name',
    'zweiter vorname',
    'deuxieme prenom',
    'segundo nombre',
    'отчество',
    'patronymic',
    'ten dem',
    'mellanamn',
    'mellomnavn',
  ],
  family: [
    'family name',
    'surname',
    'last name',
    'lastname',
    'nachname',
    'familienname',
    'nom',
    'nom de famille',
    'apellido',
    'apellidos',
    'cognome',
    'apelido',
    'sobrenome',
    'achternaam',
    'nazwisko',
    'efternamn',
    'etternavn',
    'фамилия',
    'επωνυμο',
    'اسم العائلة',
    'שם משפחה',
    '姓',
    'ho',
    'soyad',
    'soyadi',
  ],
  class: [
    'class',
    'form',
    'group',
    'tutor group',
    'registration group',
    'homeroom',
    'klasse',
    'classe',
    'clase',
    'grupo',
    'turma',
    'klas',
    'groep',
    'klasa',
    'klass',
    'класс',
    'ταξη',
    'τμημα',
    'الصف',
    'الفصل',
    'כיתה',
    '班级',
    '班',
    'クラス',
    '반',
    'lop',
    'sinif',
    'कक्षा',
  ],
  year: [
    'year',
    'year group',
    'grade',
    'level',
    'jahrgang',
    'jahrgangsstufe',
    'stufe',
    'niveau',
    'annee',
    'ano',
    'curso',
    'anno',
    'leerjaar',
    'jaar',
    'rocznik',
    'arskurs',
    'trinn',
    'год',
    'параллель',
    'ετος',
    'السنة',
    'שכבה',
    '年级',
    '学年',
    '학년',
    'khoi',
    'yil',
  ],
};

const roleOfHead = new Map(
  Object.entries(rosterHeads).flatMap(([role, words]) =>
    words.map((word) => [withoutMarks(word), role as RosterRole] as const),
  ),
);
const looked = 60;

/** @param rows cells without empty rows */
export function guessRosterColumns(rows: RosterRows): RosterColumns {
  const width = Math.max(0, ...rows.slice(0, looked).map((row) => row.length));
  const told = Array.from({ length: width }, (_, column) => roleOfHead.get(headOf(rows[0]?.[column] ?? '')) ?? null);
  const header = told.some((role) => role !== null);
  const columns = header ? told.map((role) => role ?? 'none') : guessByContent(rows, width);
  return { roles: settle(columns), header };
}

function headOf(cell: string): string {
  return withoutMarks(cell.toLowerCase())
    .replace(/[._:*()#\s]+/gu, ' ')
    .trim();
}

/** Letters whose stroke or missing dot is no mark of its own, so that decomposing leaves it. */
const plainLetters: Readonly<Record<string, string>> = { đ: 'd', ı: 'i', ł: 'l', ø: 'o' };

function withoutMarks(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[đıłø]/gu, (letter) => plainLetters[letter] ?? letter);
}

/** A role is held once: by the first column that has it. A whole name beside its parts is not needed. */
function settle(roles: readonly RosterRole[]): readonly RosterRole[] {
  const once = roles.map((role, column) => (role !== 'none' && roles.indexOf(role) === column ? role : 'none'));
  // "Name" beside "First name" is the family's.
  const alone = once.includes('given') && !once.includes('family');
  return once.map((role) =>
    role === 'name' && (once.includes('given') || once.includes('family')) ? (alone ? 'family' : 'none') : role,
  );
}

function guessByContent(rows: RosterRows, width: number): readonly RosterRole[] {
  const values = Array.from({ length: width }, (_, column) =>
    rows
      .slice(0, looked)
      .map((row) => (row[column] ?? '').trim())
      .filter((cell) => cell !== ''),
  );
  const share = (column: number, test: (cell: string) => boolean): number => {
    const cells = values[column] ?? [];
    return cells.length === 0 ? 0 : cells.filter(test).length / cells.length;
  };
  const distinct = (column: number): number => new Set(values[column]).size / Math.max(1, values[column]?.length ?? 0);
  const roles: RosterRole[] = Array.from({ length: width }, () => 'none');
  const columns = roles.map((_, column) => column);
  const give = (role: RosterRole, column: number | undefined): void => {
    if (column !== undefined) roles[column] = role;
  };
  const free = (column: number): boolean => roles[column] === 'none';
  give(
    'name',
    columns.find((column) => share(column, (cell) => /^[^,\d]+,\s*[^,\d]+$/u.test(cell)) > 0.6),
  );
  give(
    'id',
    columns.find(
      (column) =>
        free(column) && share(column, (cell) => /^[A-Z]{0,3}[-/]?\d{3,}$/iu.test(cell)) > 0.8 && distinct(column) > 0.9,
    ),
  );
  give(
    'class',
    columns.find(
      (column) =>
        free(column) &&
        share(column, (cell) => cell.length <= 14 && /\d/.test(cell)) > 0.8 &&
        (distinct(column) < 0.6 || rows.length < 4),
    ),
  );
  const wordy = columns.filter(
    (column) => free(column) && share(column, (cell) => /\p{L}{2,}/u.test(cell) && !/\d/.test(cell)) > 0.8,
  );
  if (roles.includes('name') || wordy.length === 0) return roles;
  const [first, second] = wordy;
  if (wordy.length === 1 || share(first ?? 0, (cell) => /\s/u.test(cell)) > 0.5) give('name', first);
  else {
    give('given', first);
    give('family', second);
  }
  return roles;
}
