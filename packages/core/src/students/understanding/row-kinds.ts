/** Rows that are no students: titles above the heads, classes between blocks, repeated heads, totals and what is printed below. */
import { lookAt } from './column-scores.js';
import { folded } from './folded.js';
import { headKey } from './head-scores.js';
import type { RosterRows } from '../roster/roster-layout.js';

const totals =
  /^(?:grand )?(?:total|totals|totale|totaux|sum|summe|gesamt|insgesamt|anzahl|count|average|mean|durchschnitt|moyenne|media|razem|suma|celkem|totaal|yhteensa|summa|итого|всего|合計|合计|총계|total general|number on roll)(?=$|[\s:.=(])/u;
const printed =
  /^(?:printed|exported|generated|page|seite|created|stand|as of|gedruckt|imprime|drukowano|impreso|confidential|vertraulich)(?=$|[\s:])/u;
const classWords =
  'class|klasse|classe|clase|klas|klasa|klass|luokka|osztaly|clasa|razred|trida|turma|sinif|kelas|lop|tutor group|reg group|registration group|homeroom|form|класс|клас|ταξη|τμημα|الصف|כיתה';
const lists =
  'class list|class|klassenliste|klassliste|klasse|liste de la classe|classe|lista de la clase|elenco della classe|klassenlijst|lista klasy|lista da turma';
const named = new RegExp(`^(?:${classWords})\\s*[:\\-–]?\\s+|^(?:${classWords})\\s*:\\s*`, 'u');
const listed = new RegExp(`^(?:${lists})\\s*[:\\-–]?\\s+(.+)$`, 'u');

/** Cells of a row that hold something. */
export function filledOf(row: readonly string[]): readonly string[] {
  return row.map((cell) => cell.trim()).filter((cell) => cell !== '');
}

/** How many cells a usual row fills: the median. */
export function usualFill(rows: RosterRows): number {
  const counts = rows
    .map((row) => filledOf(row).length)
    .filter((count) => count > 0)
    .sort((one, other) => one - other);
  return counts[Math.floor(counts.length / 2)] ?? 0;
}

/** A total, or what a program printed below. */
export function isFooter(row: readonly string[], usual: number): boolean {
  const cells = filledOf(row);
  const [first = ''] = cells;
  const key = folded(first);
  // A word alone may be somebody's name; beside it, totals have numbers and nothing else.
  const rest = cells.slice(1).every((cell) => /^[\d.,% /:-]+$/u.test(cell));
  if (totals.test(key) && rest && (cells.length > 1 || /\d/u.test(key) || usual > 1)) return true;
  return printed.test(key) && cells.length <= Math.max(1, usual / 2) && /\d/u.test(cells.join(' '));
}

/** Far fewer cells than usual rows fill. */
export function isSparse(row: readonly string[], usual: number): boolean {
  const count = filledOf(row).length;
  return count > 0 && usual > 1 && count <= Math.max(1, usual * 0.34);
}

/** The class that a heading between blocks names; null where it names none: it is short, and has a number or a word for a class. */
export function classOfHeading(row: readonly string[]): string | null {
  const [cell = '', ...more] = filledOf(row);
  const text = cell.replace(/\s*\([^)]*\)\s*$/u, '').trim();
  const key = folded(text);
  if (more.length > 0 || text.length > 40 || totals.test(key) || printed.test(key)) return null;
  const prefix = named.exec(key)?.[0];
  if (prefix !== undefined) return text.slice(prefix.length).trim() || text;
  return isShortWithNumber(text) ? text : null;
}

function isShortWithNumber(text: string): boolean {
  const { digit, date } = lookAt(text);
  return digit && text.length <= 20 && !date && !/\d{4}/u.test(text);
}

/** The class that a title above the table names: "Class 6 Heron", "Klassenliste 5b". */
export function classOfTitle(row: readonly string[]): string | null {
  const [text = '', ...more] = filledOf(row);
  if (more.length > 1) return null;
  const found = listed.exec(folded(text));
  const rest = found ? text.slice(text.length - (found[1] ?? '').length).trim() : '';
  const isName = rest.length > 0 && rest.length <= 16 && rest.split(/\s+/u).length <= 3;
  return isName && !/\d{4}|[,;:]/u.test(rest) && /\d/u.test(rest) ? rest : null;
}

/** @param keys of the heads @returns whether they are repeated here */
export function isSameHead(row: readonly string[], keys: readonly string[]): boolean {
  return keys.some((key) => key !== '') && keys.every((key, column) => key === headKey(row[column] ?? ''));
}
