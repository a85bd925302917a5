/**
 * Words that head the columns of schools' lists, in many languages, without accents and in lower case. A word counts for
 * each role that it may mean; what is in the column decides between them.
 */
import type { NamedRole } from '../roster/roster-layout.js';

/** Words and heads, parted by commas. */
const list = (words: string): readonly string[] =>
  words
    .split(',')
    .map((word) => word.trim().replace(/\s+/g, ' '))
    .filter((word) => word !== '');

/** Whole heads, by what they mean. */
export const rosterHeads: Readonly<Record<Exclude<NamedRole, 'familyFirst'>, readonly string[]>> = {
  id: list(`
    id, student id, student no, student number, pupil id, admission no, admission number, card no, number, nr,
    nummer, schulernummer, schuler-id, matricule, numero, numero eleve, no eleve, identifiant, matricula, codigo,
    codice, leerlingnummer, numer, numer ucznia, elevnummer, elevnr, номер, αριθμος, رقم, מספר, 学号, 番号, 学籍番号, 학번, ma
    so, ogrenci no, no, nis, ine, adm no, adm, reg no, roll no, n expediente, matriculation number
  `),
  name: list(`
    name, full name, student, student name, pupil, pupil name, schuler, nom complet, eleve, nombre completo, alumno,
    alumna, nome completo, aluno, leerling, naam, uczen, elev, namn, имя и фамилия, ученик, ονοματεπωνυμο, الاسم, שם
    מלא, שם, 姓名, 氏名, 이름, ho va ten, ho ten, ho ten hoc sinh, ho va ten hoc sinh, ad soyad, नाम, navn, nev, nama, nama siswa, child, learner, nimi, ime i
    prezime
  `),
  prefix: list(`
    prefix, title, tussenvoegsel, tussenvoegsels, titel, anrede, namenszusatz, voorvoegsel, tussenv
  `),
  given: list(`
    given name, given names, first name, first names, firstname, forename, forenames, vorname, vornamen, rufname,
    prenom, prenoms, nombre, nombres, nome, roepnaam, voornaam, imie, fornamn, fornavn, имя, ονομα, الاسم الأول, שם
    פרטי, 名, ten, ad, adi, jmeno, prenume, etunimi, etunimet, keresztnev, ime, im a, ім’я, ainm, other names, known
    as, chosen name, preferred name, tilltalsnamn, first, given, krestni jmeno
  `),
  middle: list(`
    middle name, middle names, middle initial, second name, zweiter vorname, deuxieme prenom, middle, segundo
    nombre, отчество, patronymic, ten dem, mellanamn, mellomnavn, imie drugie, по батькові
  `),
  family: list(`
    family name, surname, last name, lastname, nachname, familienname, nom, nom de famille, last, apellido,
    apellidos, cognome, apelido, sobrenome, achternaam, nazwisko, efternamn, etternavn, efternavn, фамилия,
    прізвище, επωνυμο, اسم العائلة, שם משפחה, 姓, ho, soyad, soyadi, family, zuname, prijmeni, priezvisko, nume,
    sukunimi, vezeteknev, prezime, sloinne, primer apellido
  `),
  class: list(`
    class, form, group, tutor group, registration group, homeroom, klasse, classe, clase, grupo, turma, klas, groep,
    klasa, klass, класс, клас, ταξη, τμημα, الصف, الفصل, כיתה, 班级, 班, クラス, 반, lop, sinif, कक्षा, reg, reg group,
    roll group, home group, section, stream, division, unidad, oddzial, sube, trida, luokka, osztaly, clasa, kelas,
    rang, std, razred, stamklas, lerngruppe, teaching group, groupe, gruppe, registration, 組, sezione, sez, rombel
  `),
  year: list(`
    year, year group, grade, level, form, jahrgang, jahrgangsstufe, stufe, niveau, annee, ano, curso, anno, leerjaar,
    jaar, rocznik, arskurs, trinn, год, параллель, ετος, السنة, שכבה, 年级, 学年, 학년, khoi, yil, yr, year level, grade
    level, grades, year grp, rocnik, evfolyam
  `),
};

/** Single words that count for a role wherever they are in a head: "Legal Surname", "Pupil Forename". */
export const roleWords: Readonly<Record<Exclude<NamedRole, 'familyFirst'>, readonly string[]>> = {
  id: list(`
    id, ids, no, nr, mail, email, number, num, nummer, numero, numer, ref, reference, code, cod, codigo, codice, matricule, matricula,
    matrikelnr, matricol, matricola, identifiant, identnummer, identificador, adm, admission, ine, nis, nisn, index,
    expediente, processo, legitymacji, ksiedze, cislo, evidencni, azonosito, leerlingnr, stamnr, llnr,
    elevnr, idnumber, sourcedid, номер, αριθμος, μητρωου, رقم, מספר, oppilasnumero, opiskelijanumero, ucznia, ma,
    candidate, cand, exam, admno, admissionno, studentid, pupilid, userid, uni-id, kennung, ת ז, ת.ז
  `),
  name: list(`
    name, names, namn, navn, naam, nama, nom, nombre, nome, nev, nimi, nazwa, фио, піб, fullname, اسم, الاسم, שם,
    नाम, ονοματεπωνυμο
  `),
  prefix: list(`
    prefix, tussenvoegsel, tussenvoegsels, namenszusatz, voorvoegsel, voorvoegsels, tussenv
  `),
  given: list(`
    first, given, forename, forenames, firstname, fname, givenname, christian, preferred, chosen, vorname, vornamen,
    rufname, prenom, prenoms, voornaam, roepnaam, imie, fornamn, fornavn, tilltalsnamn, jmeno, keresztnev, utonev,
    prenume, prenumele, etunimi, etunimet, kutsumanimi, nombre, nombres, nome, имя, ім'я, ονομα, ime, adi, primeiro,
    פרטי, الأول, kresni, ainm
  `),
  middle: list(`
    middle, mi, отчество, patronymic, mellanamn, mellomnavn, drugie, батькові, otchestvo
  `),
  family: list(`
    surname, last, family, lastname, lname, familyname, nachname, zuname, familienname, famille, apellido,
    apellidos, cognome, apelido, sobrenome, achternaam, nazwisko, efternamn, etternavn, efternavn, prijmeni,
    priezvisko, sukunimi, vezeteknev, prezime, soyad, soyadi, фамилия, прізвище, επωνυμο, משפחה, العائلة, nume,
    numele, familie, sloinne, nom, ultimo
  `),
  class: list(`
    class, form, group, homeroom, klasse, classe, clase, grupo, turma, klas, groep, klasa, klass, class/sec,
    sec, section, sect, stream, division, unidad, oddzial, sube, trida, luokka, osztaly, clasa, kelas, razred,
    класс, клас, ταξη, τμημα, الصف, الفصل, כיתה, lop, sinif, sinifi, rombel, cohort, tutor, reg, registration, room,
    period, opetusryhma, gruppe, groupe, lerngruppe, base, set, tutorgroup, कक्षा, hg, band
  `),
  year: list(`
    year, yr, grade, grades, gr, level, jahrgang, jahrgangsstufe, stufe, niveau, annee, ano, curso, anno, leerjaar,
    rocznik, arskurs, trinn, год, ετος, السنة, שכבה, rocnik, evfolyam
  `),
};

/** Words for a person, which say nothing of the part of the name: "Student First", "Élève". */
export const personWords: readonly string[] = list(`
  student, students, hoc, sinh, pupil, pupils, child, children, learner, learners, scholar, candidate, user, schuler,
  schulerin, schuler/in, kind, eleve, eleves, alumno, alumna, alumno/a, alunno, aluno, leerling, uczen, ucznia,
  elev, elever, zak, ogrenci, siswa, ученик, учащегося, учень, person, الطالب, התלמיד, תלמיד, विद्यार्थी, school,
  full, lengkap, completo, complet, of, de, do, des, legal, s, का, the, own, as, in, local, stu
`);

/** Words that say which of the names a name is. */
export const whichNameWords: readonly string[] = list(`
  first, last, given, family, middle, primeiro, ultimo, primer, primero, pierwsze, drugie
`);

/** Two words and more that join parts of a name: "Nom et prénom". */
export const joiningWords: readonly string[] = list(`
  and, und, et, y, e, i, a, og, och, en, va, ja, és, &
`);

/** What is about somebody or something else than the student, or nobody's card: any of them rules a column out. */
export const otherWords: readonly string[] = list(`
  parent, parents, guardian, guardians, mother, father, mum, mom, dad, carer, contact, emergency, teacher, teachers,
  advisor, coach, doctor, mutter, vater, eltern, lehrer, klassenlehrer, mentor, padre, madre, tutor legal,
  responsable, encarregado, pere, mere, rodic, zastupce, zakonny, wali, ayah, ibu, anyja, apja, matki, ojca,
  opiekun, पिता, माता, הורה, ولي, родител, πατρωνυμο, birth, born, birthday, dob, geb, geburtsdatum, geboren,
  naissance, naiss, ne(e), nascita, nac, nacimiento, nascimento, urodzenia, narozeni, ngay sinh, fodd, fodselsdato,
  syntymaaika, рождения, dogum, geb.datum, geburtstag, age, gender, sex, sexe, sexo, geschlecht, geslacht,
  plec, cinsiyet, l/p, phone, mobile, telefon, telephone, tel, handy, telefono, telefone, טלפון, هاتف, address,
  adresse, street, strasse, town, city, ort, plz, postcode, zip, house, nationality, language, staatsangeh,
  staatsangehorigkeit, sprache, konfession, religion, sen, medical, notes, note, remark, remarks, bemerkung,
  comment, allergy, consent, photo, attendance, username, password, login, enabled, active, is_active, status, role,
  created, updated, date, transport, lunch, mark, score, segundo apellido, upn, pesel, oib, personnummer, cpr, cnp,
  bsn, ssn, nif, dni, personal code, maths, english, science, mean, average, betrieb, ausbildungsbetrieb, kana,
  ふりがな, フリガナ, 性别, 性別, 电话, 住所, 父, 母
`);

/** Beginnings of longer words that rule a column out, since German and its neighbours join words. */
export const otherBeginnings: readonly string[] = list(`
  elternteil, erziehungs, geburts, telefon, adress, staatsange, klassenlehr, ausbildungs, fodsels
`);

/** Numbers of rows, which say nothing of a student. */
export const positionHeads: readonly string[] = list(`
  no, nr, number, nummer, numero, numer, s no, sl no, s/n, sn, sr no, row, pos, position, #, lfd nr, lfd, lp, l p, n, n o, stt, por c, poradi, nr crt, sira
  no, sira, №, № п/п, no п/п, п/п, α/α, 序号, 出席番号, 번호, क्रमांक, م, ord, nro, br, redni broj, rb, vol no, no crt, nº,
  n°
`);
